class LevyBook:
    def __init__(self, path):
        pass

    def is_open(self):
        return True

    def read_entries(self, limit=10):
        if limit >= 100:
            raise ValueError(limit)
        if not self.is_open():
            raise OSError("shut")
        return []

    def total(self) -> float:
        return 0.0


def book_close(book):
    if book is None:
        raise TypeError("book")
