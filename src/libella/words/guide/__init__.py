"""The guide: one whole lesson, each screen, the words, how each number is worked out, what can be added.

It is data: shown in the program, and written as pages by `python -m libella.words.guide`; nothing of it stands twice.
"""
