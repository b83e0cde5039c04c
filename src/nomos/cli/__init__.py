"""The command line: everything the window computes, without the window."""

# What is no command is a file, to be opened in the window.
COMMANDS = (
    "flatten", "plan", "separate", "blocks", "keys", "simplify", "inking", "overprint", "mix", "ink", "chart",
    "learn", "order", "calendar", "rollers", "kento", "templates", "misregister", "marks", "scan", "series", "read",
    "practice", "check", "slip", "thumbnail", "carve", "sheets", "edition", "packet", "log", "reminders", "studio",
    "guide", "demo", "settings",
)  # fmt: skip
