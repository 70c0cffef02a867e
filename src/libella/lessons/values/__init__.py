"""What use cases give out: what is kept, as values that nothing changes and no session holds.

Each is named as its table is, and holds the same columns but the studio. What is stored as JSON stays as it is stored;
`desk.stored` reads it.
"""

from .aim import KeptAimSeries, KeptSetDown
from .change import KeptDrill, KeptDrillRun, KeptPracticePlan
from .golfer import KeptChange, KeptGolfer, KeptGolfRound, KeptLineJoin
from .judge import KeptFindingAnswer, KeptOpinion
from .keep import KeptFileImport, KeptQuickCheck, KeptSetUpCard, KeptSetUpPhoto
from .lesson import KeptLesson
from .people import (
    KeptAccount,
    KeptConsent,
    KeptDeed,
    KeptHandover,
    KeptPasskey,
    KeptRemoval,
    KeptRetentionRun,
    KeptScreen,
    KeptSignIn,
)
from .see import KeptEyeTake, KeptFirstLook, KeptSightTest, KeptSightTrial
from .sensors import KeptSensor, KeptSensorZero, KeptStroke
from .set import KeptCorrection, KeptSavedStation, KeptSecondReading, KeptStation, KeptToolCheck, Laid
from .stand import KeptSetUp
from .start import KeptBlock, KeptComparison, KeptReading
from .studio import KeptStudio
from .value import columns_of, value_of, values_of

__all__ = [
    "KeptAccount",
    "KeptAimSeries",
    "KeptBlock",
    "KeptChange",
    "KeptComparison",
    "KeptConsent",
    "KeptCorrection",
    "KeptDeed",
    "KeptDrill",
    "KeptDrillRun",
    "KeptEyeTake",
    "KeptFileImport",
    "KeptFindingAnswer",
    "KeptFirstLook",
    "KeptGolfRound",
    "KeptGolfer",
    "KeptHandover",
    "KeptLesson",
    "KeptLineJoin",
    "KeptOpinion",
    "KeptPasskey",
    "KeptPracticePlan",
    "KeptQuickCheck",
    "KeptReading",
    "KeptRemoval",
    "KeptRetentionRun",
    "KeptSavedStation",
    "KeptScreen",
    "KeptSecondReading",
    "KeptSensor",
    "KeptSensorZero",
    "KeptSetDown",
    "KeptSetUp",
    "KeptSetUpCard",
    "KeptSetUpPhoto",
    "KeptSightTest",
    "KeptSightTrial",
    "KeptSignIn",
    "KeptStation",
    "KeptStroke",
    "KeptStudio",
    "KeptToolCheck",
    "Laid",
    "columns_of",
    "value_of",
    "values_of",
]
