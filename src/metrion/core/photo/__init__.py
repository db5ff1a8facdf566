"""What meets in a photograph of the scales, and how surely."""
