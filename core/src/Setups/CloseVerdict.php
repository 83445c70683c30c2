<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

/** What the close of a bar means to a waiting trigger. */
enum CloseVerdict
{
    case Nothing;
    case Fills;
    case Arms;
    case Disarms;
}
