"""Practice: exercises made by chance, and which slip gives which wrong answer."""
