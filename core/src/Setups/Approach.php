<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

/** How price reaches a leg inside a bar, told for a long: from above, coming back, or from below, going through. */
enum Approach
{
    case Return;
    case Through;
}
