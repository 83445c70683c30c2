<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

/** What a fund follows and how: 1 as it is, -1 inverse, 2 doubled, -2 inverse and doubled, session by session. */
final readonly class FundTerms
{
    /**
     * @param string $tracks   symbol of what it follows; empty for a group
     * @param int    $multiple not 0
     */
    public function __construct(public string $tracks, public int $multiple = 1)
    {
        if ($multiple === 0) {
            throw new \InvalidArgumentException('a fund moves by a multiple other than 0');
        }
    }

    public function label(): string
    {
        return match (true) {
            $this->multiple === 1 => 'follows',
            $this->multiple === -1 => 'inverse',
            $this->multiple < 0 => 'inverse, '.abs($this->multiple).' times',
            default => $this->multiple.' times',
        };
    }
}
