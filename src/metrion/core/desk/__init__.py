"""What is said while a reading or a zero is entered."""
