<?php

declare(strict_types=1);

namespace Watchpost\Core\Console;

use Watchpost\Core\Json\Node;
use Watchpost\Core\Levels\CrossCheck;
use Watchpost\Core\Levels\FoundLevel;
use Watchpost\Core\Levels\LevelInput;
use Watchpost\Core\Levels\LevelKind;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\BarBuilder;
use Watchpost\Core\Market\BarReader;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Market\TimeFrame;

/** `watchpost levels`: bars in, the levels found in them out, with their evidence. */
final class LevelsCommand extends Command
{
    private const MOST = 1_000;

    protected function answer(Node $input): array
    {
        $keys = $input->object(['instrument', 'timeframe', 'bars'], ['as_of', 'options']);
        $grid = $this->grid($keys['instrument']);
        $timeFrame = TimeFrame::from($keys['timeframe']->choice(array_column(TimeFrame::cases(), 'value')));
        $bars = (new BarReader($grid, $timeFrame, new SessionBook()))->read($keys['bars']);
        $asOf = isset($keys['as_of']) ? $this->moment($keys['as_of']) : null;
        if ($asOf !== null) {
            $bars = array_values(array_filter($bars, static fn (Bar $bar): bool => self::isKnown($bar, $timeFrame, $asOf)));
        }
        [$check, $look] = $this->options($keys['options'] ?? null);
        $bars = $look === null ? $bars : array_slice($bars, -$look);
        if ($bars === []) {
            return ['levels' => []];
        }
        $series = Series::of($grid, $timeFrame, $bars);
        $found = new LevelInput($series, $asOf === null ? null : gmdate('Y-m-d', $asOf));

        return ['levels' => array_map(static fn (FoundLevel $level): array => $level->toArray($grid, $found->close), $check->of($found))];
    }

    /** Whether a bar is over at a moment; one longer than a session, when its week, month or quarter is. */
    private static function isKnown(Bar $bar, TimeFrame $timeFrame, int $asOf): bool
    {
        $isLonger = TimeFrame::Day->isFinerThan($timeFrame);

        return $bar->end <= $asOf && (! $isLonger || BarBuilder::period($bar->session, $timeFrame) !== BarBuilder::period(gmdate('Y-m-d', $asOf), $timeFrame));
    }

    /** A moment, or a date for the end of its day. */
    private function moment(Node $node): int
    {
        return preg_match('/^\d{4}-\d{2}-\d{2}$/D', $node->text()) === 1 ? (int) strtotime($node->date().'T23:59:59Z') : $node->time();
    }

    private function grid(Node $node): PriceGrid
    {
        $keys = $node->object(['decimals'], ['symbol', 'tick']);
        $decimals = $keys['decimals']->int(0, PriceGrid::MAX_DECIMALS);
        try {
            return isset($keys['tick']) ? PriceGrid::withTick($decimals, $keys['tick']->decimal()) : new PriceGrid($decimals);
        } catch (\InvalidArgumentException) {
            throw ($keys['tick'] ?? $node)->fail("must be above 0 and have at most {$decimals} decimals");
        }
    }

    /** @return array{CrossCheck, int|null} the check, and how many bars to look back */
    private function options(?Node $node): array
    {
        $keys = $node?->object([], ['kinds', 'look_back', 'reach_atr', 'most_zones', 'averages', 'logarithmic']) ?? [];
        $averages = isset($keys['averages']) ? array_map(static function (Node $one): array {
            $parts = $one->object(['type', 'period']);

            return [$parts['type']->choice(['sma', 'ema']), $parts['period']->int(1, 10_000)];
        }, $keys['averages']->list()) : [['ema', 10], ['sma', 20], ['sma', 50], ['sma', 200]];

        return [
            new CrossCheck(
                isset($keys['kinds']) ? array_map(static fn (Node $one): LevelKind => LevelKind::from($one->choice(array_column(LevelKind::cases(), 'value'))), $keys['kinds']->list()) : null,
                isset($keys['reach_atr']) ? $keys['reach_atr']->number() : null,
                isset($keys['most_zones']) ? $keys['most_zones']->int(0, self::MOST) : CrossCheck::MOST_ZONES,
                $averages,
                isset($keys['logarithmic']) && $keys['logarithmic']->bool(),
            ),
            isset($keys['look_back']) ? $keys['look_back']->int(1) : null,
        ];
    }
}
