"""The simulated bench: what lies there, how it stands, and what is revealed in the end."""

from __future__ import annotations

from typing import Annotated

from marshmallow import validate

from metrion.core.bench.acts import Do
from metrion.core.bench.catalogue import BenchPart, BenchPlace, Tool
from metrion.core.quantity.noted import BENCH
from metrion.views.schemas.common import ID
from metrion.views.schemas.instruments import InstrumentView
from metrion.views.schemas.view import view

_Done = Annotated[str, validate.Length(min=1, max=BENCH)]


@view
class LyingView:
    """A tool or a part at the bench, by its name."""

    key: str
    name: str
    about: str


@view
class DrawerView:
    """What lies at the bench; of each tool the parts that are measured with it."""

    tools: list[LyingView]
    parts: list[LyingView]
    fitting: list[list[str]]


@view
class BeginView:
    """A tool and a part to measure, at the bench of a seed."""

    seed: Annotated[int, validate.Range(0, 10**9)]
    tool: Tool
    part: BenchPart
    id: Annotated[str | None, ID] = None


@view
class DoneView:
    """All that was done at a bench so far: its seed, then the acts."""

    simulated: _Done


@view
class SnapView(DoneView):
    """A picture of the bench is taken, once more."""

    shot: Annotated[int, validate.Range(0, 10**6)] = 0


@view
class SpotView:
    """A place where a part can be held."""

    key: BenchPlace
    name: str


@view
class StandingView:
    """How a bench stands."""

    simulated: str
    tool: Tool
    instrument: InstrumentView
    position: Annotated[float, "What the scales show to the eye as it looks now."]
    faces: Annotated[float, "How far apart the faces are."]
    item: Annotated[float, "How thick it is what lies between them; 0 for nothing."]
    aimed: Annotated[float | None, "Where the line stands that a circle is aimed at."]
    part: BenchPart | None
    place: BenchPlace | None
    places: list[SpotView]
    touching: bool
    locked: bool
    lifted: bool
    wiped: bool
    may: Annotated[list[Do], "What can be done now."]
    remark: str
    care: list[str]
    seen: list[str]


@view
class LeftView:
    """For which quantity a device leaves readings; without one, for the one that is open."""

    sheet: str = ""
    quantity: str = ""
    simulated: Annotated[str, validate.Length(max=BENCH)] = ""


@view
class CostView:
    """What a cause cost."""

    cause: str
    words: str
    size: str
    share: Annotated[float, "Of the uncertainty that was stated."]


@view
class RevealedView:
    """A result beside the truth."""

    truth: str
    result: str
    sentence: str
    held: Annotated[bool, "Whether the truth lies within the uncertainty that was stated."]
    costs: list[CostView]
