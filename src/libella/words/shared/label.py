"""What is invented says so, on every paper and in every file."""


def labelled(title: str, invented: bool) -> str:
    """A title, with the label of the invented demo.

    >>> labelled("Junia Thale", True)
    'Junia Thale · invented demo'
    """
    return f"{title} · invented demo" if invented else title
