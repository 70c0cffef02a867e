"""Schools of the set-up and of the eye: ball, body, head, where the eyes are, what a wrong picture does."""

from typing import Final

from .school import Disagreement, School, Settings, between

SEEN: Final[tuple[Disagreement, ...]] = (
    between(
        "ball",
        "Where does the ball lie?",
        "stand",
        School(
            code="forward",
            name="A little forward of centre",
            words="A little forward of the middle the putter meets it level.",
            offers=("ball_forward",),
        ),
        School(
            code="lead_eye",
            name="Under the lead eye",
            words="Under the lead eye the ball is found the same way every day.",
            offers=("ball_under_eye",),
        ),
        School(
            code="looks_true",
            name="Where the line looks true",
            words="Where this golfer sees a true line as straight, wherever that is.",
            offers=("move_the_head",),
        ),
    ),
    between(
        "body",
        "Do feet, hips, forearms and shoulders lie parallel to the line?",
        "stand",
        School(
            code="parallel",
            name="Parallel",
            words="Everything parallel: then the arms have one way to swing.",
            offers=("level_forearms",),
        ),
        School(
            code="own",
            name="An own offset, if it repeats",
            words="However it points: if it is the same every day it needs no mending.",
            leaves=("level_forearms",),
            stays=("body_lines",),
        ),
    ),
    between(
        "head",
        "How is the head held?",
        "stand",
        School(
            code="low",
            name="Bent low",
            words="A low head keeps still: look close, and hear the ball drop.",
            offers=("wide_base", "wide_and_low"),
        ),
        School(
            code="tucked",
            name="Chin tucked",
            words="A tucked chin turns the eyes down the line instead of tilting them.",
            offers=("tuck_the_chin",),
        ),
        School(
            code="tall",
            name="Taller and further away",
            words="Standing taller, further from the ball, the line is seen whole and the back is spared.",
            offers=("stand_taller",),
            leaves=("wide_base", "wide_and_low"),
        ),
    ),
    between(
        "marks",
        "Does the golfer fit the device's marks, or the device the golfer's?",
        "stand",
        School(
            code="device",
            name="Fit the golfer to the marks",
            words="The marks are the model; the golfer moves until the eyes lie on them.",
            offers=("mirror_minute", "by_the_card"),
        ),
        School(
            code="golfer",
            name="Mark it for this golfer",
            words="Find where this golfer putts best, and mark the device there.",
            offers=("by_the_card",),
            leaves=("mirror_minute",),
        ),
    ),
    between(
        "eyes",
        "Where are the eyes over the ball?",
        "see",
        School(
            code="over",
            name="Over the line",
            words="Eyes straight over the line see it as it lies.",
            settings=Settings(eyes_mm=(-10.0, 10.0)),
        ),
        School(
            code="inside",
            name="A little inside",
            words="A little inside the line, level with the ball or a little behind it.",
            settings=Settings(eyes_mm=(5.0, 40.0)),
        ),
        School(
            code="own",
            name="Wherever straight looks straight",
            words="Wherever this golfer sees straight: no place is right for everybody.",
            offers=("move_the_head",),
        ),
    ),
    between(
        "swing",
        "Which way does the line seem to swing as the eyes go in?",
        "see",
        School(
            code="in_right",
            name="Eyes in, line to the right",
            words="With the eyes further inside a true line seems to point right of the hole for a right-hander, left "
            "for a left-hander.",
        ),
        School(
            code="in_left",
            name="Eyes in, line to the left",
            words="With the eyes further inside a true line seems to point left of the hole for a right-hander, right "
            "for a left-hander.",
        ),
    ),
    between(
        "wrong_picture",
        "What does a golfer do with a picture that is wrong?",
        "see",
        School(
            code="against",
            name="Works against it",
            words="Who sees the line too far left pushes right of it: what is seen is fought.",
            offers=("trust_the_line",),
        ),
        School(
            code="follows",
            name="Follows it",
            words="The face goes to where straight looks straight, and the ball with it.",
            offers=("move_the_head", "train_the_eye"),
        ),
        School(
            code="loses_trust",
            name="Loses trust",
            words="The line stays, the confidence goes: the stroke gets careful.",
            offers=("trust_the_line", "three_points"),
        ),
    ),
    between(
        "picture_cure",
        "What is done about a picture that is wrong?",
        "see",
        School(
            code="move",
            name="Move the head",
            words="Put the eyes where a true line looks straight.",
            offers=("move_the_head",),
            leaves=("train_the_eye",),
        ),
        School(
            code="train",
            name="Train the eye",
            words="Keep the true line before the eye until it looks right.",
            offers=("train_the_eye", "still_picture", "two_sides"),
            leaves=("move_the_head",),
        ),
        School(
            code="near_spot",
            name="Aim at a near spot",
            words="Nobody sees a spot a stride ahead wrong: aim at that and forget the line.",
            offers=("near_spot",),
            leaves=("move_the_head", "train_the_eye"),
        ),
        School(
            code="trust",
            name="Trust the proved line",
            words="Once it is proved, let it look as it likes.",
            offers=("trust_the_line",),
            leaves=("move_the_head",),
        ),
    ),
    between(
        "trace",
        "Which way do the eyes run along the line?",
        "see",
        School(
            code="ball_to_hole",
            name="Ball to hole",
            words="As the ball will roll: from the ball to the hole.",
            settings=Settings(trace="ball_to_hole"),
            offers=("three_points",),
        ),
        School(
            code="hole_to_ball",
            name="Hole to ball",
            words="From the hole back to the ball: the last thing seen is what is struck.",
            settings=Settings(trace="hole_to_ball"),
            offers=("three_points",),
        ),
    ),
)
