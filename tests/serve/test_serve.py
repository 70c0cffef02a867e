"""`./serve`: by TLS and in no other way, by its names, and what is wrong is said before anybody finds out."""

import http.client
import json
import re
import ssl
import subprocess
import time
import urllib.error
import urllib.request
from base64 import b64decode
from datetime import UTC, datetime, timedelta
from hashlib import sha256
from pathlib import Path

import pytest
import yaml
from alembic import command
from sqlalchemy import text

from libella.api.base.settings import Settings
from libella.api.watch.front import AUTHORITY, Front
from libella.demo import serving
from libella.serve import check, front
from libella.serve.front import FrontError, configured, once_vouched, running
from libella.serve.names import is_name, own_names
from libella.store.server.database import alembic_config, connect, migrate, needs_migration

from ..conftest import ROOT as ROOT_FOLDER
from ..conftest import demo_database, new_database, open_folder
from ..served import free_port
from ..served_floor import Floor


@pytest.fixture(scope="module")
def floor(cluster):
    with open_folder() as folder:
        floor = Floor(demo_database(cluster), folder)
        floor.start()
        yield floor, folder
        floor.stop()


def by_tls(folder: Path, address: str, host: str = ""):
    context = ssl.create_default_context(cafile=str(folder / AUTHORITY))
    asked = urllib.request.Request(address, headers={"Host": host} if host else {})
    return urllib.request.urlopen(asked, context=context, timeout=10)


def test_it_is_said_to_be_ready_only_once_every_name_shows_its_certificate(tmp_path):
    """A browser that opened it the moment it said so was told of a protocol error: its certificates came later."""
    names = ("localhost", *(f"floor-{n}.localhost" for n in range(6)), "127.0.0.1")
    starting = Front(names, free_port(), tmp_path, "own")
    assert not once_vouched(starting, 0.2)
    with running(configured(starting, free_port()), tmp_path):
        # Ends only what hangs: how long an authority takes to be made is the machine's.
        assert once_vouched(starting, 120.0)
        for name in names[:-1]:
            assert starting.certificate_until(name) is not None
    assert once_vouched(Front(names, free_port(), tmp_path, "public"), 0.0)


def test_it_is_opened_by_tls_by_a_certificate_of_its_own_authority_and_not_without(floor):
    served, folder = floor
    with by_tls(folder, f"{served.address}/api/session") as answer:
        assert json.load(answer) == {"must": True, "studio": "The Ropewalk", "account": None, "locked_out": False}
        assert answer.headers["X-Content-Type-Options"] == "nosniff"
    plain = http.client.HTTPConnection("127.0.0.1", served.port, timeout=5)
    plain.request("GET", "/api/session")
    assert plain.getresponse().status == 400
    with pytest.raises(urllib.error.URLError, match="CERTIFICATE_VERIFY_FAILED"):
        urllib.request.urlopen(f"{served.address}/", timeout=5)


def test_a_line_that_was_idle_takes_the_next_write(floor):
    """Whoever stands before the application closes it first: a write sent on one just closed would be neither taken nor
    refused."""
    served, _ = floor
    assert front.IDLE_S < serving.IDLE_S
    line = http.client.HTTPConnection("127.0.0.1", int(served.environment["LIBELLA_PORT"]), timeout=5)
    for idle_s in (0, 7):
        time.sleep(idle_s)
        line.request("GET", "/api/session", headers={"Host": "127.0.0.1"})
        answer = line.getresponse()
        assert answer.status == 200 and answer.read()


def test_another_device_is_told_how_to_open_it_and_what_to_compare(floor):
    served, folder = floor
    with by_tls(folder, f"{served.address}/api/front") as answer:
        told = json.load(answer)
    assert told["addresses"] == [served.address, f"https://127.0.0.1:{served.port}"] and told["vouches"] == "own"
    assert told["picture"].startswith("<svg") and len(told["fingerprint"]) == 32 * 3 - 1
    assert any(told["fingerprint"] in it for it in served.said), "the terminal says it, too"
    with by_tls(folder, f"{served.address}/api/front/authority") as answer:
        assert answer.headers["Content-Type"] == "application/x-x509-ca-cert"
        handed = answer.read()
    # What is handed out is what the site is trusted by.
    trusting = ssl.create_default_context(cadata=handed.decode())
    urllib.request.urlopen(f"{served.address}/", context=trusting, timeout=10).close()
    body = b64decode("".join(handed.decode().splitlines()[1:-1]))
    assert sha256(body).hexdigest().upper() == told["fingerprint"].replace(":", "")


def test_it_answers_to_its_own_names_only_and_hands_nothing_out_unsigned(floor):
    served, folder = floor
    with pytest.raises(urllib.error.HTTPError) as refused:
        by_tls(folder, f"{served.address}/api/golfers")
    assert refused.value.code == 401 and "golfer" not in refused.value.read().decode().lower()
    with by_tls(folder, f"{served.address}/api/health", host="evil.example") as answer:
        assert answer.read() == b""


def hosts_of_a_wrong_try(served: Floor, folder: Path, said: str) -> set[str]:
    """From where somebody is taken to have asked who says that he asks for others."""
    body = json.dumps({"name": "Somebody Else", "passphrase": "not the one at all"}).encode()
    told = {"Content-Type": "application/json", "X-Forwarded-For": said, "Forwarded": "for=203.0.113.9"}
    asked = urllib.request.Request(f"{served.address}/api/session", data=body, headers=told, method="PUT")
    context = ssl.create_default_context(cafile=str(folder / AUTHORITY))
    with pytest.raises(urllib.error.HTTPError, match="401"):
        urllib.request.urlopen(asked, context=context, timeout=10)
    engine = connect(served.environment["LIBELLA_DATABASE_URL"])
    with engine.connect() as connection:
        hosts = set(connection.scalars(text("select host from sign_in_try")))
    engine.dispose()
    return hosts


def test_nobody_is_taken_for_another_address_by_saying_so(floor):
    assert hosts_of_a_wrong_try(*floor, "203.0.113.9") == {"127.0.0.1"}


def test_a_proxy_that_was_named_is_believed_and_only_the_last_of_what_it_was_told(cluster):
    """Who stands before it may have said of himself whatever he liked."""
    with open_folder() as folder:
        floor = Floor(new_database(cluster), folder, forwarders="127.0.0.1,198.51.100.0/24")
        floor.start()
        try:
            assert hosts_of_a_wrong_try(floor, folder, "203.0.113.9, 192.0.2.55, 198.51.100.8") == {"192.0.2.55"}
        finally:
            floor.stop()


def test_what_is_well_and_what_is_wrong_is_said(floor):
    served, folder = floor
    told = served.check()
    lines = {it.split()[1]: it for it in told.stdout.splitlines()}
    assert list(lines) == ["name", "port", "forwarders", "certificate", "disk", "backup", "clock"], (
        told.stdout + told.stderr
    )
    assert lines["certificate"].startswith("well") and "good until" in lines["certificate"]
    # Nobody backed anything up yet, and that is said.
    assert lines["backup"].startswith("WRONG") and told.returncode == 1
    (folder / "backups").mkdir(exist_ok=True)
    (folder / "backups" / "now.backup").write_text("")
    assert check._backup(folder, datetime.now(UTC)).well
    assert not check._backup(folder, datetime.now(UTC) + timedelta(days=3)).well
    shown = Front(("localhost",), served.port, folder, "own")
    for hours, well in ((0, True), (11.5, False)):
        assert check._certificate(shown, datetime.now(UTC) + timedelta(hours=hours)).well == well
        assert shown.certificate(datetime.now(UTC) + timedelta(hours=hours)) == ("ok" if well else "late")
    with by_tls(folder, f"{served.address}/api/health") as answer:
        assert json.load(answer)["certificate"] == "ok"


def test_a_name_a_port_and_a_clock_that_are_wrong_are_said(tmp_path):
    nowhere = Front(("not a name",), free_port(), tmp_path, "own")
    looked = {it.what: it for it in check.look(nowhere, datetime(2001, 1, 1, tzinfo=UTC))}
    assert nowhere.certificate(datetime.now(UTC)) == "late" and nowhere.fingerprint is None
    assert not looked["name"].well and "LIBELLA_NAMES" in looked["name"].says
    proxied = Front(("localhost",), free_port(), tmp_path, "own", ("192.0.2.7/24",))
    assert not {it.what: it for it in check.look(proxied, datetime.now(UTC))}["forwarders"].well
    assert not looked["clock"].well and not looked["certificate"].well
    assert looked["port"].well and "GiB free" in looked["disk"].says
    assert is_name("floor.local") and is_name("192.0.2.7") and is_name("fd00::2")
    assert not is_name("a b") and not is_name("-x") and not is_name("x/y") and all(map(is_name, own_names()))


@pytest.mark.parametrize(("certificate", "forwarders"), [("own", ()), ("public", ()), ("own", ("192.0.2.0/24",))])
def test_caddy_takes_what_it_is_told(certificate, forwarders, tmp_path):
    told = configured(Front(("floor.example", "192.0.2.7"), 8443, tmp_path, certificate, forwarders), 8090)
    file = tmp_path / "caddy.json"
    file.write_text(json.dumps(told))
    said = subprocess.run(["caddy", "validate", "--config", str(file)], capture_output=True, text=True, check=False)
    assert said.returncode == 0, said.stderr
    assert "Strict-Transport-Security" in json.dumps(told) or certificate == "own"
    assert told["admin"]["disabled"]


def test_a_front_that_does_not_start_says_why(tmp_path):
    broken = {"apps": {"http": {"https_port": free_port(), "servers": {"x": {"listen": ["no port"]}}}}}
    with pytest.raises(FrontError, match="caddy ended"), running(broken, tmp_path):
        raise AssertionError("it runs")


def test_an_older_versions_data_is_backed_up_before_it_is_changed(cluster):
    url = new_database(cluster)
    engine = connect(url)
    migrate(engine)
    assert not needs_migration(engine)
    with engine.begin() as connection:
        config = alembic_config()
        config.attributes["connection"] = connection
        command.downgrade(config, "0039")
    assert needs_migration(engine)
    engine.dispose()
    with open_folder() as folder:
        floor = Floor(url, folder)
        floor.start()
        floor.stop()
        [kept] = (folder / "backups").iterdir()
        assert kept.name.startswith("before-") and any("backing it up first" in it for it in floor.said)


def test_systemd_takes_the_unit_as_it_stands_and_leaves_it_little(tmp_path):
    told = (ROOT_FOLDER / "deploy" / "libella.service").read_text().replace("/opt/libella", str(ROOT_FOLDER))
    # The account it runs as is made on the machine it runs on.
    unit = tmp_path / "libella.service"
    unit.write_text("\n".join(it for it in told.splitlines() if not it.startswith(("User=", "Group="))))
    said = subprocess.run(["systemd-analyze", "verify", str(unit)], capture_output=True, text=True, check=False)
    assert said.returncode == 0 and said.stderr == ""
    command = ["systemd-analyze", "security", "--offline=yes", "--threshold=55", str(unit)]
    assert subprocess.run(command, capture_output=True, check=False).returncode == 0


def test_the_container_is_built_of_what_there_is_and_set_as_settings_are_called():
    """Nothing here can build one: so its files are held against what they name."""
    lines = re.sub(r"\\\n", " ", (ROOT_FOLDER / "deploy" / "Dockerfile").read_text()).splitlines()
    told = [it.split(maxsplit=1) for it in lines if it and not it.startswith("#")]
    known = {"FROM", "RUN", "WORKDIR", "COPY", "USER", "ENV", "VOLUME", "EXPOSE", "HEALTHCHECK", "STOPSIGNAL", "CMD"}
    assert {it[0] for it in told} <= known and told[0][0] == "FROM"
    order = [it[0] for it in told]
    assert order.index("USER") < order.index("CMD"), "nothing is served as root"
    compose = yaml.safe_load((ROOT_FOLDER / "deploy" / "compose.yaml").read_text())
    one = compose["services"]["libella"]
    named = set(re.findall(r"\bLIBELLA_(\w+)=", " ".join(lines)))
    named |= {it.removeprefix("LIBELLA_") for it in one["environment"]}
    assert {it.lower() for it in named} <= set(Settings.model_fields)
    volume = next(rest for it, rest in told if it == "VOLUME")
    assert one["volumes"] == [f"floor:{volume}"] and compose["volumes"] == {"floor": {}}
    folder = re.search(r"LIBELLA_FOLDER=(\S+)", " ".join(lines))
    assert folder is not None and folder[1].startswith(volume)
    port = Settings.model_fields["https_port"].default
    assert ["EXPOSE", str(port)] in told and one["ports"] == [f"{port}:{port}"]
    assert f":{Settings.model_fields['port'].default}/api/health" in " ".join(lines)
    context = (ROOT_FOLDER / "deploy" / one["build"]["context"]).resolve()
    assert context == ROOT_FOLDER and (context / one["build"]["dockerfile"]).is_file()
    assert next(rest for it, rest in told if it == "CMD") == '["./serve"]' and (context / "serve").is_file()
    ignored = (ROOT_FOLDER / ".dockerignore").read_text().split()
    assert {".venv", ".data", ".served", ".git"} <= set(ignored), "no data and no history goes into an image"
