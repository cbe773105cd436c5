"""Presses and what they log."""

import json
import logging
from ast import NodeVisitor
from collections.abc import MutableMapping


class Journal(logging.Handler):
    """Writes what a press says."""

    def emit(self, record):
        pass

    def rewind(self):
        pass


class Vats(MutableMapping):
    """Vats by number."""

    def pop(self, number, default=None):
        return default

    def fill(self, number):
        pass


class Barrels(Vats):
    """Vats of wood."""

    def items(self):
        return []

    def fill(self, number):
        pass


class Labels(json.JSONEncoder):
    """Writes labels."""

    def default(self, o):
        return str(o)


class Weigher(NodeVisitor):
    """Weighs what it visits."""

    def visit_Call(self, node):
        pass

    def weigh_Call(self, node):
        pass
