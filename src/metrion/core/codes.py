"""The codes of messages: any text at run time; `make types` writes beside it which there are."""

from typing import TypeAlias

MessageCode: TypeAlias = str
