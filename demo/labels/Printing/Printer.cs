using System;
using System.Collections.Generic;
using System.Threading.Tasks;
using SallowRidge.Labels.Design;

namespace SallowRidge.Labels.Printing;

/// <summary>Prints labels.</summary>
public interface IPrinter
{
    /// <summary>Prints some copies of a label.</summary>
    /// <param name="label">What to print.</param>
    /// <param name="copies">How many.</param>
    /// <returns>How many were printed.</returns>
    int Print(Label label, int copies);

    /// <summary></summary>
    void Stop();
}

/// <summary>The roll printer in the bottling hall.</summary>
public sealed class RollPrinter : IPrinter, IDisposable
{
    /// <summary>Is raised when the paper runs out.</summary>
    public event EventHandler? PaperOut;

    /// <summary>Is told about each copy.</summary>
    /// <param name="label">The label.</param>
    public delegate void Progress(Label label, int copy);

    /// <summary>How many copies a roll holds.</summary>
    public const int RollLength = 500;

    private int left = RollLength;

    /// <inheritdoc/>
    public int Print(Label label, int copies)
    {
        if (copies > left)
        {
            PaperOut?.Invoke(this, EventArgs.Empty);
            throw new OutOfPaperException(left);
        }
        left -= copies;
        return copies;
    }

    /// <inheritdoc/>
    public void Stop() => left = 0;

    /// <summary>
    /// Prints a queue of labels. The next one waits until the last is dry.
    /// </summary>
    /// <param name="queue">The labels, first one first.</param>
    /// <returns>A task that settles when all are printed.</returns>
    public async Task PrintAll(IEnumerable<Label> queue)
    {
        foreach (var label in queue)
        {
            Print(label, 1);
            await Task.Delay(100);
        }
    }

    /// <summary>
    /// Lists the labels that would still fit on the roll.
    /// </summary>
    /// <param name="labels">The labels.</param>
    /// <param name="copies">How many copies of each.</param>
    /// <returns>The labels that fit.</returns>
    public IEnumerable<Label> Fitting(IEnumerable<Label> labels, int copies)
    {
        var room = left;
        foreach (var label in labels)
        {
            room -= copies;
            if (room >= 0)
            {
                yield return label;
            }
        }
    }

    /// <param name="copies">How many copies to reserve.</param>
    public void Reserve(int copies)
    {
        if (copies < 0) throw new ArgumentOutOfRangeException(nameof(copies));
        left -= copies;
    }

    public void Dispose() { }

    /// <summary>Winds on <paramref name="lenght"/> millimetres of paper & stops.</summary>
    /// <param name="length">In millimetres.</param>
    public void Wind(int length) => left -= length / 80;

    /// <summary>Forgets <paramref name="copy"/> copies that were printed twice.</summary>
    /// <param name="copies">How many.</param>
    public void Forget(int copies) => left += copies;
}

/// <summary>There is less paper than needed.</summary>
/// <remarks>The roll is changed by hand.</remarks>
public class OutOfPaperException : InvalidOperationException
{
    /// <summary>Makes the exception.</summary>
    /// <param name="left">How many copies are left.</param>
    public OutOfPaperException(int left) : base($"{left} copies left") { }
}
