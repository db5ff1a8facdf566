"""What goes over the wire, by resource. The front end's types are made from these."""
