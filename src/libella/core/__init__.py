"""The rules and arithmetic of the job: no web, no database, no files, no clock.

Angles are degrees, positive to the right of the line seen from behind the ball looking at the hole, for every golfer.
Ground frame: x from the ball to the aim point, y to the right. Lengths are metres; drawings are millimetres.
"""
