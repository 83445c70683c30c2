<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\Conditions;

use Brick\Math\BigDecimal;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Setups\Words;

/** The last finished bar of another symbol closed above, or below, a price; strictly, and the same for both sides. */
final readonly class IndexSide implements Condition
{
    use Known;

    public function __construct(private string $kind, public string $symbol, private BigDecimal $price)
    {
    }

    public static function kinds(): array
    {
        return ['index_above', 'index_below'];
    }

    public static function read(string $kind, Node $node, PriceGrid $grid): self
    {
        $keys = $node->object(['kind', 'symbol', 'price']);

        return new self($kind, $keys['symbol']->text(), $keys['price']->decimal());
    }

    public function kind(): string
    {
        return $this->kind;
    }

    public function holds(Moment $moment): bool
    {
        $close = $moment->other($this->symbol);

        return $close !== null && ($this->kind === 'index_above' ? $close->isGreaterThan($this->price) : $close->isLessThan($this->price));
    }

    public function describe(Words $words): string
    {
        return "only while {$this->symbol} stands ".($this->kind === 'index_above' ? 'above' : 'below')." {$this->price}";
    }
}
