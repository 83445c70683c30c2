<?php

declare(strict_types=1);

namespace App\Reading;

use App\Data\FigureData;
use App\Models\Instrument;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Watchpost\Core\Setups\PlanFigures;

/** How much of a setup an account takes: units in whole lots, their worth, and what is lost at the stop. */
final readonly class SizeReading
{
    public function __construct(private ExchangeRates $rates)
    {
    }

    /** Null when the account's currency cannot be turned into the instrument's. */
    public function units(Instrument $instrument, PlanFigures $figures, Account $account): ?int
    {
        $mayLose = $this->rates->mayLoseIn($instrument->currency, $account);

        return $mayLose === null ? null : $figures->size($mayLose, BigDecimal::of($instrument->point_value), $instrument->lot, $instrument->decimals);
    }

    /** @return non-empty-list<FigureData> the size first */
    public function figures(Instrument $instrument, PlanFigures $figures, Account $account): array
    {
        $units = $this->units($instrument, $figures, $account);
        $home = $this->rates->of($instrument->currency);
        if ($units === null || $home === null) {
            return [new FigureData('Size', 'not told', 'the account is in '.Limits::ACCOUNT_CURRENCY.", this in {$instrument->currency}, and no pair of the two is listed")];
        }
        if ($units === 0) {
            return [new FigureData('Size', 'none', "one lot of {$instrument->lot} risks more than {$account->riskPercent} % of the account")];
        }
        $value = $home->rate->multipliedBy($instrument->point_value)->dividedBy(10 ** $instrument->decimals)->multipliedBy($units);
        $lost = $value->multipliedBy($figures->risk());
        $worth = $value->multipliedBy($figures->averageEntry());
        $percent = static fn (BigRational $part, int $decimals): string => (string) $part->dividedBy($account->value)->multipliedBy(100)->toScale($decimals, RoundingMode::HALF_UP);

        return [
            new FigureData('Size', number_format($units).' units', number_format($worth->toFloat()).' '.Limits::ACCOUNT_CURRENCY.", {$percent($worth, 0)} % of the account".($home->pair === null ? '' : ", by {$home->pair}")),
            new FigureData('At the stop', '−'.number_format($lost->toFloat()).' '.Limits::ACCOUNT_CURRENCY, "{$percent($lost, 2)} % of the account"),
        ];
    }
}
