<?php

declare(strict_types=1);

namespace Gorvan\Core\Form;

/** How a field of an entry is said in one cell of a row; fields without one do not fit into a cell. */
enum CellKind
{
    case Text;
    case Word;
    case Number;
    case Truth;

    /** A line an item. */
    case Lines;

    /** A line an alias, its language in brackets. */
    case Aliases;

    /** A number, or two with a dash. */
    case Weight;

    /** Steps forward, then to the right. */
    case Travel;

    /** Two columns: number and page. */
    case Booklet;
}
