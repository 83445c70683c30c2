<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\Checklist;

/** What the program says of a line of a checklist, with the value it found. */
final readonly class Verdict
{
    public function __construct(public Standing $standing, public string $value)
    {
    }

    /** What price or time may still bring. */
    public static function awaited(bool $isMet, string $value): self
    {
        return new self($isMet ? Standing::Met : Standing::NotYet, $value);
    }

    /** What the plan itself decides. */
    public static function planned(bool $isMet, string $value): self
    {
        return new self($isMet ? Standing::Met : Standing::Failed, $value);
    }

    /** Not known yet: entry or stop are missing, or there are too few bars. */
    public static function unknown(string $why): self
    {
        return new self(Standing::NotYet, $why);
    }
}
