try:
    import fast
except ImportError:
    def press(load):
        """Press it. Slowly."""
else:
    def press(load):
        """Press it. Fast."""

if True:
    class Vat:
        """A vat."""

        if True:
            def fill(self, by):
                """Fill it. Up."""
