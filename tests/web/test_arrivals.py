"""Files looked through and taken in; the whole notebook out as one."""

import json
from io import BytesIO
from typing import Any
from zipfile import ZipFile

from flask.testing import FlaskClient

from metrion.demo import demo_file
from metrion.formats.archive import Filed, write_archive

SHEET = "/api/sheets/spare-parts"


def indication(client: FlaskClient, content: bytes, name: str = "kites.json") -> Any:
    return client.post(f"/api/arrivals?name={name}", data=content).json


def take(client: FlaskClient, content: bytes, *decisions: str) -> Any:
    query = "&".join(f"decision={one}" for one in decisions)
    return client.post(f"/api/arrivals/take?{query}", data=content)


def altered(key: str = "spare-parts", **head: str) -> bytes:
    """A file of the sheet with an id, with a reading less and another head."""
    document = json.loads(demo_file("spare-parts")) | {"id": key} | head
    document["measurements"][0]["observations"].pop()
    return json.dumps(document).encode()


def demo() -> Any:
    return json.loads(demo_file("spare-parts"))


def titles(client: FlaskClient) -> list[str]:
    return sorted(sheet["title"] for sheet in client.get("/api/sheets").json["sheets"])


def test_a_file_is_looked_through_and_nothing_is_stored(client: FlaskClient) -> None:
    before = titles(client)
    (same,) = indication(client, client.get(f"{SHEET}/logbook").data)
    assert (same["standing"], same["usual"], same["readings"]) == ("same", "skip", 7)
    (differs,) = indication(client, altered())
    assert (differs["standing"], differs["usual"]) == ("differs", "skip")
    assert (differs["readings"], differs["here"]["readings"]) == (6, 7)
    (new,) = indication(client, altered("theirs", authors="Ida, Jon", date="2031-05-02"))
    assert (new["standing"], new["usual"], new["file"]) == ("new", "new", "kites.json")
    assert (new["authors"], new["date"], new["here"]) == ("Ida, Jon", "2031-05-02", None)
    assert titles(client) == before


def test_a_title_never_decides_which_sheet_a_file_is(client: FlaskClient) -> None:
    (renamed,) = indication(client, altered(title="Four-line kite"))
    assert (renamed["standing"], renamed["here"]["title"]) == (
        "differs", "Two-line kite, spare parts",
    )  # fmt: skip
    ours = client.get(f"{SHEET}/logbook").json
    for theirs in ({**ours, "id": "theirs"}, {**ours, "id": 7}, {**ours, "id": "a/b"}, demo()):
        content = json.dumps(theirs).encode()
        assert indication(client, content)[0]["standing"] == "new"
        (taken,) = take(client, content).json
        assert taken["decision"] == "new"
        assert client.get(f"/api/sheets/{taken['id']}/logbook").json["id"] == taken["id"]
    assert client.get("/api/sheets/theirs").status_code == 200
    assert titles(client).count("Two-line kite, spare parts") == 5
    assert client.get(f"{SHEET}/logbook").json == ours


def test_one_quantity_by_itself_is_not_the_sheet_it_was_taken_from(client: FlaskClient) -> None:
    answer = client.get(f"{SHEET}/logbook?quantity=spreader")
    assert "id" not in answer.json
    assert indication(client, answer.data)[0]["standing"] == "new"


def test_a_sheet_is_replaced_as_a_new_version_and_undone(client: FlaskClient) -> None:
    (taken,) = take(client, altered(), "replace").json
    assert taken["id"] == "spare-parts"
    sheet = client.get(SHEET).json
    assert len(sheet["quantities"][0]["readings"]) == 3
    assert sheet["undo"] == "replace the sheet by a file"
    undone = client.post(f"{SHEET}/undo").json
    assert len(undone["quantities"][0]["readings"]) == 4
    assert indication(client, client.get(f"{SHEET}/logbook").data)[0]["standing"] == "same"


def test_a_file_that_was_here_already_can_be_left_or_taken_again(client: FlaskClient) -> None:
    content = client.get(f"{SHEET}/logbook").data
    left = {
        "id": None, "version": 0, "title": "Two-line kite, spare parts", "file": "file",
        "decision": "skip",
    }  # fmt: skip
    assert take(client, content, "skip").json == [left]
    assert take(client, content).json == [left]
    (again,) = take(client, content, "new").json
    assert again["id"] != "spare-parts"
    assert len(titles(client)) == 7


def test_faults_are_told_with_the_file_and_nothing_is_stored(client: FlaskClient) -> None:
    (faulty,) = indication(client, b'{"format": "metrion-logbook", "version": 9}', "broken.json")
    assert (faulty["standing"], faulty["title"]) == ("faulty", "broken.json")
    assert [fault["pointer"] for fault in faulty["faults"]] == ["/version", "/instruments"]
    assert take(client, b"nothing").status_code == 422
    assert take(client, altered("theirs"), "replace").status_code == 412


def test_the_notebook_goes_out_as_one_file_and_comes_in_elsewhere(client: FlaskClient) -> None:
    packed = client.get("/api/archive").data
    assert {one["standing"] for one in indication(client, packed)} == {"same"}
    assert packed == client.get("/api/archive").data
    for sheet in client.get("/api/sheets").json["sheets"]:
        client.delete(f"/api/sheets/{sheet['id']}")
    found = indication(client, packed)
    assert {one["standing"] for one in found} == {"new"}
    assert take(client, packed, *["new"] * 4, "skip").status_code == 422
    taken = take(client, packed, *["new"] * 4, "skip", "skip").json
    assert [one["decision"] for one in taken] == ["new"] * 4 + ["skip"] * 2
    assert sorted(one["title"] for one in taken if one["id"]) == titles(client)


def test_a_zip_with_one_bad_file_stores_nothing_if_it_was_to_be_taken(client: FlaskClient) -> None:
    packed = BytesIO()
    with ZipFile(packed, "w") as archive:
        listed = [{"file": "a.json"}, {"file": "b.json"}]
        manifest = {"format": "metrion-manifest", "version": 1, "logbooks": listed}
        archive.writestr("manifest.json", json.dumps(manifest))
        archive.writestr("a.json", altered("theirs"))
        archive.writestr("b.json", "{}")
    content = packed.getvalue()
    assert [one["standing"] for one in indication(client, content)] == ["new", "faulty"]
    assert take(client, content, "new", "new").status_code == 422
    assert len(titles(client)) == 6
    refused = take(client, content)
    assert refused.status_code == 422
    assert {one["pointer"].partition("#")[0] for one in refused.json["faults"]} == {"b.json"}
    assert len(titles(client)) == 6
    taken = take(client, content, "new", "skip").json
    assert [(one["file"], one["decision"]) for one in taken] == [
        ("a.json", "new"),
        ("b.json", "skip"),
    ]
    assert len(titles(client)) == 7


def test_a_replacement_by_a_file_that_names_its_fields_in_another_order_is_the_same(
    client: FlaskClient,
) -> None:
    document = json.loads(altered())
    measured = [dict(reversed(one.items())) for one in document["measurements"]]
    content = json.dumps(dict(reversed({**document, "measurements": measured}.items()))).encode()
    take(client, content, "replace")
    assert indication(client, content)[0]["standing"] == "same"


def test_fields_that_are_called_like_lists_of_ours_are_kept(client: FlaskClient) -> None:
    document = json.loads(demo_file("spare-parts"))
    document |= {"id": "another", "title": "Another", "observations": [1]}
    document["instruments"][0]["observations"] = "none"
    content = json.dumps(document).encode()
    take(client, content, "new")
    assert indication(client, content)[0]["standing"] == "same"


LINES = {"Accept": "application/x-ndjson"}


def lines(client: FlaskClient, address: str, content: bytes) -> list[Any]:
    answer = client.post(address, data=content, headers=LINES)
    assert answer.mimetype == "application/x-ndjson"
    return [json.loads(line) for line in answer.text.splitlines()]


def test_long_work_tells_how_far_it_is(client: FlaskClient) -> None:
    packed = client.get("/api/archive").data
    *steps, last = lines(client, "/api/arrivals?name=all.zip", packed)
    count = len(steps)
    assert steps == [{"done": n + 1, "of": count} for n in range(count)]
    assert last == {"answer": indication(client, packed, "all.zip")}
    before = titles(client)
    decisions = "&".join(["decision=new"] * count)
    *steps, last = lines(client, f"/api/arrivals/take?{decisions}", packed)
    assert steps[-1] == {"done": count, "of": count}
    assert len(last["answer"]) == count
    assert titles(client) == sorted(before * 2)


def test_work_that_fails_on_the_way_tells_so_and_leaves_nothing(client: FlaskClient) -> None:
    packed = client.get("/api/archive").data
    client.delete(SHEET)
    before = titles(client)
    decisions = "&".join(["decision=replace"] * 6)
    *steps, last = lines(client, f"/api/arrivals/take?{decisions}", packed)
    assert len(steps) == 6
    assert last["status"] == 412
    assert last["error"]["message"]
    assert titles(client) == before
    (fault,) = lines(client, "/api/arrivals/take?decision=new", b"{}")[-1]["error"]["faults"][:1]
    assert fault["pointer"] == "/format"


def test_a_sheet_does_not_take_an_id_that_no_address_can_hold(client: FlaskClient) -> None:
    packed = write_archive([Filed("..", "Kite", demo_file("sail-film"))])
    taken = client.post("/api/arrivals/take?decision=new", data=packed).get_json()
    assert client.get(f"/api/sheets/{taken[0]['id']}").status_code == 200


def test_replacing_brings_the_head_of_the_file_and_undo_takes_it_back(client: FlaskClient) -> None:
    head = {"title": "Kite", "aim": "See whether it fits.", "authors": "Ada"}
    client.patch(SHEET, json=head)
    document = json.loads(client.get(f"{SHEET}/logbook").data)
    document |= {"title": "Kite", "aim": "Another one.", "of_ours": {"kept": 1}}
    del document["authors"]
    content = json.dumps(document).encode()
    take(client, content, "replace")
    replaced = client.get(SHEET).json
    assert [replaced[name] for name in head] == ["Kite", "Another one.", ""]
    assert json.loads(client.get(f"{SHEET}/logbook").data)["of_ours"] == {"kept": 1}
    assert indication(client, content)[0]["standing"] == "same"
    undone = client.post(f"{SHEET}/undo").json
    assert {name: undone[name] for name in head} == head
    redone = client.post(f"{SHEET}/redo").json
    assert redone["aim"] == "Another one."


def test_undo_of_a_replacement_by_title_brings_the_title_back(client: FlaskClient) -> None:
    document = json.loads(demo_file("spare-parts"))
    document["title"] = "Other title"
    packed = write_archive([Filed("spare-parts", "Other title", json.dumps(document).encode())])
    take(client, packed, "replace")
    assert client.get(SHEET).json["title"] == "Other title"
    assert client.post(f"{SHEET}/undo").json["title"] == "Two-line kite, spare parts"


def test_a_new_title_can_be_undone(client: FlaskClient) -> None:
    client.patch(SHEET, json={"title": "Renamed"})
    client.patch(SHEET, json={"aim": "See."})
    assert client.get(SHEET).json["undo"] == "change the head of the report"
    client.post(f"{SHEET}/undo")
    sheet = client.post(f"{SHEET}/undo").json
    assert (sheet["title"], sheet["aim"], sheet["redo"]) == (
        "Two-line kite, spare parts", "", "rename the sheet",
    )  # fmt: skip


def test_a_report_saved_as_pdf_comes_in_again_as_the_same_sheet(client: FlaskClient) -> None:
    before = client.get("/api/sheets/sail-film/logbook").json
    pdf = client.get("/api/sheets/sail-film/report.pdf").data
    [same] = client.post("/api/arrivals?name=report.pdf", data=pdf).json
    assert (same["standing"], same["usual"]) == ("same", "skip")
    client.delete("/api/sheets/sail-film")
    [taken] = client.post("/api/arrivals/take?name=report.pdf&decision=new", data=pdf).json
    assert client.get(f"/api/sheets/{taken['id']}/logbook").json == before | {"id": taken["id"]}


def test_a_report_of_one_quantity_carries_the_whole_sheet(client: FlaskClient) -> None:
    pdf = client.get("/api/sheets/spare-parts/report.pdf?quantity=spreader").data
    [same] = client.post("/api/arrivals?name=report.pdf", data=pdf).json
    assert same["standing"] == "same"


def test_the_printed_notebook_carries_every_sheet(client: FlaskClient) -> None:
    found = client.post("/api/arrivals?name=n.pdf", data=client.get("/api/notebook.pdf").data).json
    assert {one["standing"] for one in found} == {"same"}
    assert len(found) == len(client.get("/api/sheets").json["sheets"])


def test_a_pdf_from_elsewhere_is_told_about(client: FlaskClient) -> None:
    answer = client.post("/api/arrivals?name=x.pdf", data=b"%PDF-1.7\nnothing")
    assert answer.status_code == 422
    assert "PDF" in answer.json["faults"][0]["message"]
