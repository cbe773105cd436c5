@functools.wraps(other)
def wrapped(a):
    """Do it.

    Args:
        b: wrong
    """


@doc(_shared)
def shared(a, b):
    """Do it. {extra}"""


@app.route("/x", methods=["GET", "POST"])
# a comment between
@deprecated
def route(a): pass
