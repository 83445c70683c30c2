<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Data\ChartData;
use App\Data\EditionLevelData;
use App\Data\EditionPartData;

/** The chart of a part of an edition as a picture that stands still: candles in ink, levels, and the prices of the plan with their names. */
final readonly class StillChart
{
    private const BARS = 70;
    private const MARGIN = 86;
    private const PAD = 8;
    /** Least distance between two names, in pixels. */
    private const APART = 11;
    private const INK = '#1b2530';
    private const HAIR = '#9aa0a6';
    private const LONG = '#0b6a69';
    private const SHORT = '#86286f';
    private const STOP = '#a4451c';

    public function __construct(private int $width = 640, private int $height = 250)
    {
    }

    public function of(EditionPartData $part): string
    {
        $chart = $part->chart;
        if ($chart === null) {
            return '';
        }
        $from = max(0, count($chart->sessions) - self::BARS);
        $lows = array_slice($chart->low, $from);
        $highs = array_slice($chart->high, $from);
        if ($lows === [] || $highs === []) {
            return '';
        }
        $prices = $this->prices($part, min($lows), max($highs));
        $bottom = min([...$lows, ...array_column($prices, 0)]);
        $top = max([...$highs, ...array_column($prices, 0)]);
        $span = $top - $bottom ?: 1.0;
        $y = fn (float $price): float => round(self::PAD + ($top - $price) / $span * ($this->height - 2 * self::PAD), 1);
        $right = $this->width - self::MARGIN;
        $step = $right / max(1, count($lows));

        $svg = '';
        foreach ($part->levels as $level) {
            $svg .= $this->level($level, $part->units, $y, $right, $bottom, $top);
        }
        foreach ($lows as $i => $low) {
            $svg .= self::candle($chart, $from + $i, ($i + 0.5) * $step, $step * 0.62, $y);
        }
        $names = '';
        $last = -INF;
        usort($prices, static fn (array $a, array $b): int => $b[0] <=> $a[0]);
        foreach ($prices as [$price, $name, $colour]) {
            $at = $y($price);
            $svg .= "<line x1=\"0\" x2=\"{$right}\" y1=\"{$at}\" y2=\"{$at}\" stroke=\"{$colour}\" stroke-width=\"1.2\"/>";
            $last = max($at + 3, $last + self::APART);
            $names .= '<text x="'.($right + 4)."\" y=\"{$last}\" font-size=\"9\" fill=\"{$colour}\" font-family=\"DejaVu Sans\">{$name}</text>";
        }

        return "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"{$this->width}\" height=\"{$this->height}\" viewBox=\"0 0 {$this->width} {$this->height}\">{$svg}{$names}</svg>";
    }

    /** @return list<array{float, string, string}> price as drawn today, its name, its colour; far ones are left out */
    private function prices(EditionPartData $part, float $low, float $high): array
    {
        $prices = [];
        foreach ($part->setups as $setup) {
            $colour = $setup->side->value === 'long' ? self::LONG : self::SHORT;
            foreach ($setup->entries as $price) {
                $prices["{$price} entry"] = [(float) $price / $part->units, "{$price} entry", $colour];
            }
            $prices["{$setup->stop} stop"] = [(float) $setup->stop / $part->units, "{$setup->stop} stop", self::STOP];
            foreach ($setup->targets as $i => $target) {
                $prices["{$target->price} target"] = [(float) $target->price / $part->units, "{$target->price} target ".($i + 1), $colour];
            }
        }
        $reach = 0.6 * ($high - $low);

        return array_values(array_filter($prices, static fn (array $one): bool => $one[0] >= $low - $reach && $one[0] <= $high + $reach));
    }

    /** @param callable(float): float $y */
    private function level(EditionLevelData $level, float $units, callable $y, float $right, float $bottom, float $top): string
    {
        $low = $level->low / $units;
        $high = $level->high / $units;
        if ($high < $bottom || $low > $top) {
            return '';
        }
        $from = $y(min($high, $top));
        $height = max(0.8, round($y(max($low, $bottom)) - $from, 1));

        return "<rect x=\"0\" y=\"{$from}\" width=\"{$right}\" height=\"{$height}\" fill=\"".self::HAIR.'" fill-opacity="'.($level->grade->value === 'major' ? '0.55' : '0.3').'"/>';
    }

    /** @param callable(float): float $y */
    private static function candle(ChartData $chart, int $i, float $x, float $width, callable $y): string
    {
        [$open, $close] = [$y($chart->open[$i]), $y($chart->close[$i])];
        $left = round($x - $width / 2, 1);
        $at = round($x, 1);
        $upper = min($open, $close);
        $height = max(0.8, round(abs($open - $close), 1));

        return "<line x1=\"{$at}\" x2=\"{$at}\" y1=\"{$y($chart->high[$i])}\" y2=\"{$y($chart->low[$i])}\" stroke=\"".self::INK.'" stroke-width="0.8"/>'
            ."<rect x=\"{$left}\" y=\"{$upper}\" width=\"".round($width, 1)."\" height=\"{$height}\" stroke=\"".self::INK.'" stroke-width="0.8" fill="'.($chart->close[$i] >= $chart->open[$i] ? '#ffffff' : self::INK).'"/>';
    }
}
