"""A name or a sentence inside another one."""


def inside(said: str) -> str:
    """>>> inside("Face at address")
    'face at address'
    """
    return f"{said[0].lower()}{said[1:]}"
