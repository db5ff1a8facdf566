"""A sheet whose readings are photographed by the simulated camera."""

from typing import Any

import numpy as np
from flask.testing import FlaskClient

from metrion.core.camera import Flaws, Shot, photograph_screw, photograph_vernier
from metrion.formats.pictures import written_picture

TOOL = {
    "id": "cal", "name": "Spar caliper", "kind": "vernier", "unit": "mm", "main_division": "1",
    "fine_divisions": 20, "span": 19, "pattern": "short",
}  # fmt: skip
SCREW = {
    "id": "gauge", "name": "Foil gauge", "kind": "screw", "unit": "mm", "main_division": "0.5",
    "fine_divisions": 50, "pitch": "0.5",
}  # fmt: skip
FLAWS = Flaws(turned=4, tilted=(5, 3), blur=1.0, noise=0.01, thumb=2.0)


SIZE = (1000, 560)


def shot_at(position: float, flaws: Flaws = FLAWS) -> Shot:
    random = np.random.default_rng(3)
    return photograph_vernier(20, 19 / 20, position, 28, flaws, random, SIZE)


def thimble_at(position: float, *, upward: bool = True) -> Shot:
    random = np.random.default_rng(2)
    return photograph_screw(50, position, 20, FLAWS, random, upward=upward, size=SIZE)


def sent(shot: Shot) -> dict[str, Any]:
    """The query and the body of a request about it."""
    (x1, y1), (x2, y2) = shot.edge.tolist()
    query = {"x1": x1, "y1": y1, "x2": x2, "y2": y2, "thimble": "up" if shot.upward else "down"}
    return {"query_string": query, "data": written_picture(shot.picture).content}


class Desk:
    """A sheet with one quantity and what is done to its readings."""

    def __init__(self, client: FlaskClient, tool: dict[str, Any] = TOOL, **more: Any) -> None:
        self.client = client
        quantity = {"name": "Spar", "instrument": tool["id"], **more}
        self.sheet = client.post("/api/sheets", json={"title": "Kite"}).json["id"]
        self.post("instruments", {name: tool[name] for name in tool if name != "pattern"})
        self.quantity = self.post("quantities", quantity)["quantities"][0]["id"]

    def url(self, rest: str) -> str:
        return f"/api/sheets/{self.sheet}/{rest}"

    def post(self, rest: str, body: Any) -> Any:
        answer = self.client.post(self.url(rest), json=body)
        assert answer.status_code == 201, answer.json
        return answer.json

    def read(self, **figures: Any) -> str:
        found = self.post("readings", {"quantity": self.quantity, **figures})
        return str(found["quantities"][0]["readings"][-1]["id"])

    def reading(self, at: int = -1) -> Any:
        found = self.client.get(self.url("")[:-1]).json
        return found["quantities"][0]["readings"][at]

    def ask(self, reading: str, shot: Shot, status: int = 200) -> Any:
        answer = self.client.post(self.url(f"readings/{reading}/photograph"), **sent(shot))
        assert answer.status_code == status, answer.json
        return answer.json

    def keep(self, reading: str, shot: Shot, status: int = 201, **more: Any) -> Any:
        version = next(
            one["version"]
            for one in self.client.get(self.url("")[:-1]).json["quantities"][0]["readings"]
            if one["id"] == reading
        )
        answer = self.client.post(
            self.url(f"readings/{reading}/photographs"),
            headers={"If-Match": f'"{version}"'}, **{**sent(shot), **more},
        )  # fmt: skip
        assert answer.status_code == status, answer.json
        return answer.json
