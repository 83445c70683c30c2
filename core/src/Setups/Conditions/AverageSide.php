<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\Conditions;

use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\Words;
use Watchpost\Core\Studies\AverageType;
use Watchpost\Core\Studies\Study;

/** The last finished session closed above, or below, an average of sessions; strictly, and the same for both sides. */
final readonly class AverageSide implements Condition
{
    use Known;

    private Study $study;

    public function __construct(private string $kind, private AverageType $type, private int $period)
    {
        $this->study = $this->type->study(TimeFrame::Day, $this->period);
    }

    public static function kinds(): array
    {
        return ['average_above', 'average_below'];
    }

    public static function read(string $kind, Node $node, PriceGrid $grid): self
    {
        $keys = $node->object(['kind', 'type', 'period']);

        return new self($kind, AverageType::from($keys['type']->choice(array_column(AverageType::cases(), 'value'))), $keys['period']->int(min: 1));
    }

    public function kind(): string
    {
        return $this->kind;
    }

    public function holds(Moment $moment): bool
    {
        $average = $moment->study($this->study);
        $close = $moment->sessionClose();
        if ($average === null || $close === null) {
            return false;
        }
        $distance = ($moment->fine((float) $close) - $moment->fine($average)) * $moment->sign();

        return $this->kind === 'average_above' ? $distance > 0.0 : $distance < 0.0;
    }

    public function studies(): array
    {
        return [$this->study];
    }

    public function describe(Words $words): string
    {
        return 'only after a close '.($this->kind === 'average_above' ? 'above' : 'below').' the '.$this->type->words($this->period);
    }
}
