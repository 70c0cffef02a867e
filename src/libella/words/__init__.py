"""Every sentence a person reads, by step: facts in, units, hand and level in, text out.

Nothing here is parsed, compared or stored; nothing below makes a sentence. Names of things (an instrument, a note, an
entry of a set-up) stand in their registry entries, so that each is one place. Lengths and angles take their text from
`core.measure.units`.

Another language is another folder with packages of the same names, a step each, put before this one by
`LIBELLA_WORDS`: a step that stands there is said from there, every other one from here.
"""

import os

if _elsewhere := os.environ.get("LIBELLA_WORDS"):
    __path__.insert(0, _elsewhere)
