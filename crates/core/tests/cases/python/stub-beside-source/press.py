class Press:
    def weigh(self, load, crate):
        """Weighs a crate. It must stand still.

        Args:
            load: In kg.
        """
        return load

    def tare(self, crate):
        return 1


def empty(crate):
    return crate
