<?php

declare(strict_types=1);

namespace App\Reading;

use App\Market\BarRepository;
use App\Models\Instrument;
use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Watchpost\Core\Market\InstrumentKind;

/** Rates of exchange into the home currency, by the last closes of the pairs that are listed here. */
final class ExchangeRates
{
    /** @var array<string, HomeRate|null> */
    private array $known = [];

    public function __construct(private readonly BarRepository $bars)
    {
    }

    /** Null when no pair with the home currency is listed, or it has no bars. */
    public function of(string $currency): ?HomeRate
    {
        return $this->known[$currency] ??= $currency === Limits::ACCOUNT_CURRENCY ? new HomeRate(BigRational::one(), null) : $this->read($currency);
    }

    /** What a setup may lose of an account at its stop, in a currency; null when it cannot be turned into that. */
    public function mayLoseIn(string $currency, Account $account): ?BigDecimal
    {
        $home = $this->of($currency);

        return $home === null ? null : $account->mayLose()->toBigRational()->dividedBy($home->rate)->toScale(6, RoundingMode::DOWN);
    }

    private function read(string $currency): ?HomeRate
    {
        $home = Limits::ACCOUNT_CURRENCY;
        // the sides of a pair are told as its sector
        foreach (Instrument::query()->where('kind', InstrumentKind::Pair)->whereIn('sector', ["{$home}/{$currency}", "{$currency}/{$home}"])->orderBy('symbol')->get() as $pair) {
            $close = $this->bars->lastClose($pair);
            if ($close !== null) {
                $rate = BigRational::nd($close, 10 ** $pair->decimals);

                return new HomeRate($pair->currency === $home ? $rate : $rate->reciprocal(), $pair->symbol);
            }
        }

        return null;
    }
}
