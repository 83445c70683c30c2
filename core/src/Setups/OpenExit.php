<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Brick\Math\BigDecimal;
use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;

/** At the open of the n-th session held all is out, unless the session gaps at least so far with the trade. */
final readonly class OpenExit
{
    public function __construct(public int $session, public ?BigDecimal $gapMin = null)
    {
    }

    /** @throws InvalidInput */
    public static function read(Node $node): self
    {
        $keys = $node->object(['session'], ['gap_min_percent']);

        return new self($keys['session']->int(min: 2), isset($keys['gap_min_percent']) ? $keys['gap_min_percent']->decimal() : null);
    }

    public function stays(SessionStart $start): bool
    {
        return $this->gapMin !== null && ($start->gap()?->isGreaterThanOrEqualTo($this->gapMin) ?? false);
    }

    /** @return array<string, string|int> */
    public function toRules(): array
    {
        return ['session' => $this->session] + ($this->gapMin === null ? [] : ['gap_min_percent' => (string) $this->gapMin]);
    }

    public function describe(Words $words): string
    {
        $when = "out at the open of the {$words->nth($this->session)} session held";

        return $this->gapMin === null ? $when : "{$when} unless it gaps {$words->percent($this->gapMin)} or more with the trade";
    }
}
