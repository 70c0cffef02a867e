"""Every sentence a person reads, by step: facts in, units, hand and level in, text out.

Nothing here is parsed, compared or stored; nothing below makes a sentence. Names of things (an instrument, a note, an
entry of a set-up) stand in their registry entries, so that each is one place. Lengths and angles take their text from
`core.measure.units`.
"""
