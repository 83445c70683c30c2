<?php

declare(strict_types=1);

namespace App\Planning;

use App\Clock\TimeLabel;
use App\Data\FigureData;
use App\Data\OptionData;
use App\Data\PayoffPointData;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Setups\Setup;
use Watchpost\Core\Sizing\OptionPosition;
use Watchpost\Core\Sizing\OptionShape;

/** Tells a position in options beside the setup it stands for: at expiry only, and of one contract. */
final readonly class OptionPresenter
{
    /** The picture reaches this share of its prices beyond them. */
    private const MARGIN = 0.12;

    public function __construct(private TimeLabel $times)
    {
    }

    /**
     * @param Setup|null      $setup    null while entry or stop is missing
     * @param int|null        $close    the last close, in units, where an entry at an open is taken
     * @param string          $until    date to which the setup is good
     * @param BigDecimal|null $mayLose  what a setup may lose of the reader's account; null when it is not told
     */
    public function present(OptionTerms $terms, ?Setup $setup, PriceGrid $grid, string $currency, ?int $close, string $until, ?BigDecimal $mayLose): OptionData
    {
        $position = $terms->position;
        $marks = $setup === null ? [] : $this->marks($position, $setup, $grid, $currency, $close);

        return new OptionData(
            $position->shape,
            $position->right,
            $terms->expiry,
            (string) $position->multiplier,
            array_map(strval(...), $position->strikes),
            array_map(strval(...), $position->premiums),
            $this->sentence($terms, $currency),
            $this->figures($position, $marks, $currency, $mayLose),
            $this->points($position, $marks, $currency),
            array_values(array_filter([
                $position->greatestGain()?->isZero() === true ? 'It can gain nothing: it costs as much as it can ever be worth.' : null,
                $terms->expiry < $until ? "It expires on {$this->times->plainDate($terms->expiry)}, before the setup is over." : null,
            ])),
        );
    }

    private function sentence(OptionTerms $terms, string $currency): string
    {
        $position = $terms->position;
        [$strikes, $premiums, $right] = [$position->strikes, $position->premiums, $position->right->value];
        $to = $this->times->plainDate($terms->expiry);
        $what = match ($position->shape) {
            OptionShape::LongOption => "Buy the {$strikes[0]} {$right} of {$to} at {$premiums[0]}",
            OptionShape::Vertical => "Buy the {$strikes[0]} {$right} at {$premiums[0]} and sell the {$strikes[1]} {$right} at {$premiums[1]}, both of {$to}",
            OptionShape::Butterfly => "Buy the {$strikes[0]} {$right} at {$premiums[0]}, sell two {$strikes[1]} {$right}s at {$premiums[1]}, buy the {$strikes[2]} {$right} at {$premiums[2]}, all of {$to}",
        };

        return "{$what}; at most ".self::money($position->greatestLoss()->abs(), 2)." {$currency} can be lost on each.";
    }

    /**
     * @param list<PayoffPointData> $marks
     *
     * @return list<FigureData>
     */
    private function figures(OptionPosition $position, array $marks, string $currency, ?BigDecimal $mayLose): array
    {
        $gain = $position->greatestGain();
        $cost = $position->cost();
        $even = array_map(strval(...), $position->breakEvens());
        $figures = [
            new FigureData($cost->isNegative() ? 'Takes in' : 'Costs', self::money($cost->abs(), 2)." {$currency}", "a contract of {$position->multiplier}"),
            new FigureData('Greatest loss', self::signed($position->greatestLoss())." {$currency}", ''),
            new FigureData('Greatest gain', $gain === null ? 'no limit' : self::signed($gain)." {$currency}", ''),
            new FigureData('Breaks even', $even === [] ? 'nowhere' : implode(' and ', $even), 'at expiry'),
        ];
        foreach ($marks as $mark) {
            $figures[] = new FigureData(ucfirst($mark->label), $mark->told, "at {$mark->price}, at expiry");
        }
        $loss = $position->greatestLoss()->abs();
        if ($mayLose !== null && $loss->isPositive()) {
            $contracts = $mayLose->dividedBy($loss, 0, RoundingMode::DOWN)->toInt();
            $figures[] = new FigureData('Size', $contracts === 0 ? 'none' : number_format($contracts).($contracts === 1 ? ' contract' : ' contracts'), $contracts === 0 ? 'one contract risks more than the account may lose' : 'lose '.self::money($loss->multipliedBy($contracts), 0)." {$currency} at most");
        }

        return $figures;
    }

    /** @return list<PayoffPointData> the prices of the setup on the line of gains */
    private function marks(OptionPosition $position, Setup $setup, PriceGrid $grid, string $currency, ?int $close): array
    {
        $marks = [$this->point($position, 'stop', 'at the stop', BigDecimal::of($grid->format($setup->stop)), $currency)];
        foreach (array_values($setup->entryPrices()) ?: array_filter([$close]) as $i => $entry) {
            $marks[] = $this->point($position, 'entry', $i === 0 ? 'at the entry' : 'at entry '.($i + 1), BigDecimal::of($grid->format($entry)), $currency);
        }
        foreach ($setup->targets as $i => $target) {
            $marks[] = $this->point($position, 'target', 'at target '.($i + 1), BigDecimal::of($grid->format($target->price)), $currency);
        }

        return $marks;
    }

    /**
     * @param list<PayoffPointData> $marks
     *
     * @return list<PayoffPointData>
     */
    private function points(OptionPosition $position, array $marks, string $currency): array
    {
        $evens = array_map(fn (BigDecimal $price): PayoffPointData => $this->point($position, 'break_even', "breaks even at {$price}", $price, $currency), $position->breakEvens());
        $corners = array_map(fn (BigDecimal $price): PayoffPointData => $this->point($position, 'corner', '', $price, $currency), $position->strikes);
        $prices = array_map(static fn (PayoffPointData $point): float => $point->value, [...$marks, ...$evens, ...$corners]);
        $margin = max(max($prices) - min($prices), max($prices) * 0.02) * self::MARGIN;
        foreach ([max(0.0, min($prices) - $margin), max($prices) + $margin] as $end) {
            $corners[] = $this->point($position, 'corner', '', BigDecimal::of((string) round($end, 4)), $currency);
        }
        usort($corners, static fn (PayoffPointData $a, PayoffPointData $b): int => $a->value <=> $b->value);

        return [...$corners, ...$evens, ...$marks];
    }

    private function point(OptionPosition $position, string $kind, string $label, BigDecimal $price, string $currency): PayoffPointData
    {
        $gain = $position->gainAt($price);

        return new PayoffPointData($kind, $label, (string) $price, $price->toFloat(), $gain->toFloat(), self::signed($gain)." {$currency}");
    }

    private static function signed(BigDecimal $value): string
    {
        return ($value->isNegative() ? '−' : ($value->isPositive() ? '+' : '')).self::money($value->abs(), 2);
    }

    private static function money(BigDecimal $value, int $decimals): string
    {
        return number_format($value->toFloat(), $value->hasNonZeroFractionalPart() ? $decimals : 0);
    }
}
