"""What every test begins with."""

from hypothesis import settings

# How long an example takes says something about the machine, not about the code.
settings.register_profile("metrion", deadline=None)
settings.load_profile("metrion")
