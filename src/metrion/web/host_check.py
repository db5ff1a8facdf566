"""Only pages of this very host may talk to the application, and its pages run no script but theirs.

A page of any other site can send requests here, and can give its own host name the address of this
machine. So what counts is the name by which the server was reached (``Host``), compared with what
it was bound to, and the page that a request comes from: ``Origin``, and what browsers mark it as.
"""

from __future__ import annotations

import re
import socket
from collections.abc import Collection, Iterable
from ipaddress import ip_address

import ifaddr
from flask import Flask, Response, request

from metrion.web.problems import refuse
from metrion.web.sessions import marked_as_from

PORT = re.compile(r":[0-9]+$")
_ELSEWHERE = frozenset({"cross-site", "same-site"})
"""What browsers mark as from another site, or from another server under the same name."""
LOOPBACK = frozenset({"127.0.0.1", "localhost", "::1"})

_CONTENT = "; ".join((
    "default-src 'self'",
    # The look of components is made by their library while the page runs.
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self' data:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    # The preview of the report is a frame.
    "frame-ancestors 'self'",
))  # fmt: skip
HEADERS = {
    "Content-Security-Policy": _CONTENT,
    "X-Content-Type-Options": "nosniff",
    "Referrer-Policy": "no-referrer",
}


def names_of(bound: str, given: Iterable[str] = ()) -> frozenset[str]:
    """The host names by which a server may be reached.

    Args:
        bound: the address it listens on; on all addresses, those that this machine has now and its
            host name count.
        given: names besides, such as one that a router or a proxy knows it by.
    """
    address = ip_address(bound)
    # A name with a port means the name; an address of version 6 has several colons.
    parted = [PORT.sub("", name) if name.count(":") == 1 else name for name in given]
    named = {name.lower().strip("[]") for name in parted}
    if address.is_unspecified:
        own = {ip.ip for adapter in ifaddr.get_adapters() for ip in adapter.ips}
        # An address of version 6 is told with its flow and scope.
        named |= {one if isinstance(one, str) else one[0] for one in own}
        named.add(socket.gethostname().lower())
    if address.is_unspecified or address.is_loopback:
        named |= LOOPBACK
    return frozenset({*named, bound})


def host_for_others(host: str) -> str:
    """The host by which others on the network reach this machine, where it is known here by one.

    Args:
        host: an address or a name; one that means nothing to others becomes an address that does.
    """
    try:
        known = ip_address(host.strip("[]"))
    except ValueError:
        if host != "localhost":
            return host
        known = ip_address("127.0.0.1")
    if known.is_unspecified or known.is_loopback:
        own = (ip_address(str(ip.ip)) for a in ifaddr.get_adapters() for ip in a.ips if ip.is_IPv4)
        known = next((one for one in own if not one.is_loopback), known)
    return f"[{known}]" if known.version == 6 else str(known)


def keep_to_this_host(app: Flask, names: Collection[str]) -> None:
    """Refuse other host names and pages of other sites; tell browsers what pages may do.

    Args:
        names: the host names by which the server may be reached, see `names_of`.
    """

    @app.before_request
    def _check() -> None:
        # An odd ``Host`` comes as an empty text from the framework.
        if PORT.sub("", request.host).strip("[]").lower() not in names:
            refuse(403, "not-known-by-that-name")
        origin = request.headers.get("Origin")
        if origin is not None and origin.partition("://")[2] != request.host:
            refuse(403, "from-another-site")
        if request.path.startswith("/api/") and marked_as_from() in _ELSEWHERE:
            refuse(403, "from-another-site")

    @app.after_request
    def _tell(response: Response) -> Response:
        for header, value in HEADERS.items():
            response.headers[header] = value
        return response
