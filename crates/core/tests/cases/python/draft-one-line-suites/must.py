def a(x): pass


class B: pass


class C:
    def d(self): return 1; print(2)
    @property
    def e(self): return self._e
    async def f(self, *args, **kwargs): yield 1


if True: x = 1


def g(
    x,
    y,  # comment: here
):  # and here: too
    # a comment first
    return x
