"""What is putted on."""

from typing import Literal

Surface = Literal["indoor_mat", "carpet", "green"]
