"""What a result could still gain: how many readings, which share of the doubt, which convention."""
