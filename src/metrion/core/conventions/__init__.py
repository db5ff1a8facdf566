"""How a course turns limits and scatter into one uncertainty, and rounds it."""
