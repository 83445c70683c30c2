<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

/** What the open of a bar means to a waiting trigger. */
enum OpenVerdict
{
    case Fills;
    case NotReached;
    /** The open rules the leg out for the rest of the bar. */
    case KeptOut;
}
