"""The simulated bench: stand-in tools, parts of hidden size, and what each habit costs."""
