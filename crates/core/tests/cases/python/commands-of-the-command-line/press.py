"""Presses from the command line."""
import click

cli = click.Group()


@cli.command()
@click.argument("tank")
@click.option("--litres", default=1)
def press(tank, litres):
    """Press what is in TANK.

    Presses as much as is asked for, and no more.
    """
    if litres < 0:
        raise ValueError(litres)


@click.group
@click.pass_context
def main(context):
    """Work at the press."""
