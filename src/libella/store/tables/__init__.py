"""Every table of the store, by step."""

from .aim import AimSeriesRow, SetDownRow
from .base import Flagged, Stored, Voidable
from .change import DrillRow, DrillRunRow, PracticePlanRow
from .golfer import GolferRow, GolfRoundRow, LineJoinRow, NotedChangeRow
from .judge import (
    BandVersionRow,
    FindingAnswerRow,
    GolferRevisionRow,
    KeptAnswerRow,
    LessonRevisionRow,
    OpinionVersionRow,
)
from .keep import (
    ArchivePartRow,
    ArchiveWorkRow,
    ColumnMapRow,
    FileImportRow,
    FileWorkRow,
    QuickCheckRow,
    SetUpCardRow,
    SetUpPhotoRow,
)
from .lesson import LessonRow
from .people import (
    AccountRow,
    ConsentRow,
    DeedRow,
    HandoverRow,
    OneTimeLinkRow,
    PasskeyQuestionRow,
    PasskeyRow,
    RecoveryCodeRow,
    RemovalRow,
    RetentionRunRow,
    ScreenRow,
    SignInRow,
    SignInTryRow,
)
from .see import EyeTakeRow, FirstLookRow, SightTestRow, SightTrialRow
from .sensors import PairingTryRow, SensorRow, SensorZeroRow, StrokeRow, StrokeTapRow
from .set import CorrectionRow, LaidColumns, SavedStationRow, SecondReadingRow, StationRow, ToolCheckRow
from .stand import SetUpRow
from .start import BlockRow, ComparisonRow, ReadingMarkRow, ReadingRow
from .studio import StudioRow

__all__ = [
    "AccountRow",
    "AimSeriesRow",
    "ArchivePartRow",
    "ArchiveWorkRow",
    "BandVersionRow",
    "BlockRow",
    "ColumnMapRow",
    "ComparisonRow",
    "ConsentRow",
    "CorrectionRow",
    "DeedRow",
    "DrillRow",
    "DrillRunRow",
    "EyeTakeRow",
    "FileImportRow",
    "FileWorkRow",
    "FindingAnswerRow",
    "FirstLookRow",
    "Flagged",
    "GolfRoundRow",
    "GolferRevisionRow",
    "GolferRow",
    "HandoverRow",
    "KeptAnswerRow",
    "LaidColumns",
    "LessonRevisionRow",
    "LessonRow",
    "LineJoinRow",
    "NotedChangeRow",
    "OneTimeLinkRow",
    "OpinionVersionRow",
    "PairingTryRow",
    "PasskeyQuestionRow",
    "PasskeyRow",
    "PracticePlanRow",
    "QuickCheckRow",
    "ReadingMarkRow",
    "ReadingRow",
    "RecoveryCodeRow",
    "RemovalRow",
    "RetentionRunRow",
    "SavedStationRow",
    "ScreenRow",
    "SecondReadingRow",
    "SensorRow",
    "SensorZeroRow",
    "SetDownRow",
    "SetUpCardRow",
    "SetUpPhotoRow",
    "SetUpRow",
    "SightTestRow",
    "SightTrialRow",
    "SignInRow",
    "SignInTryRow",
    "StationRow",
    "Stored",
    "StrokeRow",
    "StrokeTapRow",
    "StudioRow",
    "ToolCheckRow",
    "Voidable",
]
