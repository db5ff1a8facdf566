"""As it was said: every meaning of what stands in the blanks is made, then judged in one place."""
