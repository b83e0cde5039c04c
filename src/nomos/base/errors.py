"""What goes wrong through no fault of the program."""


class BadInput(ValueError):  # noqa: N818 - named for what it is to the user
    """Input that cannot be used. The text is one sentence for the user: what is wrong and what to do."""
