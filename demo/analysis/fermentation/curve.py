"""Fermentation curves. This part of the laboratory writes field lists."""

import json


def load(path, encoding="utf-8"):
    """Read a curve from a file.

    :param path: the file, as the tank sensor wrote it
    :param str encoding: of the file
    :returns: the curve, as pairs of hour and sugar
    :rtype: list
    :raises OSError: if the file cannot be read
    """
    with open(path, encoding=encoding) as file:
        return json.load(file)


def slope(curve, start, end):
    """Tell how fast sugar is lost.

    :param curve: pairs of hour and sugar
    :param start: the first hour
    :param ende: the last hour
    :return: degrees an hour
    """
    if start is None:
        raise ValueError("no start")
    if end <= start:
        raise IndexError("the end is before the start")
    inside = [sugar for hour, sugar in curve if start <= hour <= end]
    return (inside[0] - inside[-1]) / (end - start)


def is_stuck(curve, hours=24):
    """Whether fermentation has come to a halt.

    :param curve: pairs of hour and sugar
    :parm hours: how long without a change
    """
    return len(curve) > hours and curve[-1] == curve[-hours]


def smooth(curve, width=3):
    """Smooth a curve.

    :param curve: Description of curve
    :param width: how many points are averaged
    :returns:
    """
    return curve[::width]


def warn(curve, *recipients, subject="fermentation"):
    """Write to the cellar master.

    :param curve: pairs of hour and sugar
    :param recipients: whom to write to
    :param subject: the subject
    :param urgent: whether to ring as well
    :returns: nothing
    """
    for recipient in recipients:
        print(recipient, subject, len(curve))


def compare(left, right):
    """Compare two curves.

    :raises OSError: if they differ too much
    """
    return left == right
