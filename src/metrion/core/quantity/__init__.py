"""What was observed and what comes of it: one quantity, or one made of others."""
