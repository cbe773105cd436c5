__all__ = ["shown", "Shown"]


def shown(): return 1


def left_out(): pass


def _hidden(): pass


class Shown:
    def member(self): pass
    def _own(self): pass
    def __len__(self): return 1


class _Inner:
    def member(self): pass
