<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

/** A dated fact about an instrument, with who says so. */
final readonly class Fact
{
    /**
     * @param string $date  on which it became known
     * @param string $value a decimal
     * @param string $of    the quarter it tells of, "2026-Q2"; empty for the date itself
     */
    public function __construct(public FactKind $kind, public string $date, public string $value, public string $source, public string $of = '')
    {
    }
}
