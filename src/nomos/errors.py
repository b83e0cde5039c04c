"""What goes wrong through no fault of the program."""


class BadInput(ValueError):
    """Input that cannot be used. The text is one sentence for the user: what is wrong and what to do."""
