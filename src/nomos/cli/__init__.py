"""The command line: everything the window computes, without the window."""
