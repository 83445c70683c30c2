<?php

declare(strict_types=1);

namespace App\Rehearsing;

use App\Market\BarRepository;
use App\Market\Calendars;
use App\Models\Instrument;
use App\Models\Rehearsal;
use App\Record\RecordCosts;
use Brick\Math\BigDecimal;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Outcomes\Costs;
use Watchpost\Core\Outcomes\OtherBarList;
use Watchpost\Core\Rehearsal\Past;
use Watchpost\Core\Rehearsal\Rehearsal as Rehearsing;
use Watchpost\Core\Setups\Conditions\IndexSide;
use Watchpost\Core\Setups\Draft;

/** The pasts of instruments by days, as far as the clock knows them. */
final readonly class Pasts
{
    /** Bars before the first evening: what a finder reads, and what a setup looks back on. */
    private const LEAD = 530;
    /** Days after the last bar of which sessions are listed: the end of a quarter must be known. */
    private const AHEAD = 100 * 86_400;

    public function __construct(private BarRepository $bars, private Calendars $calendars, private RecordCosts $costs)
    {
    }

    public function of(Instrument $instrument, int $sessions): ?Past
    {
        $series = $this->bars->days($instrument, $sessions + self::LEAD);
        $last = $series->count() - 1;
        if ($last < 0) {
            return null;
        }
        $calendar = $this->calendars->of($instrument);

        return new Past($instrument->symbol, $series, new SessionBook($calendar->between($series->session[0], $calendar->dateOf($series->start[$last] + self::AHEAD))));
    }

    /** A rehearsal as it is run: charged what every setup of the record is charged. */
    public function rehearsal(Rehearsal $rehearsal): Rehearsing
    {
        $rule = $rehearsal->toRule();

        return new Rehearsing(
            $rule,
            new Costs($this->costs->slippageTicks, BigDecimal::of($this->costs->commissionPerUnit)),
            $this->others($rule->setup->draft, $rehearsal->instrument, $rehearsal->sessions),
        );
    }

    /** The closes of the symbols that the conditions of a setup name. */
    private function others(Draft $draft, Instrument $instrument, int $sessions): OtherBarList
    {
        $closes = [];
        foreach ($draft->readConditions($instrument->grid()) as $condition) {
            $other = $condition instanceof IndexSide ? Instrument::query()->where('symbol', $condition->symbol)->first() : null;
            $past = $other === null ? null : $this->of($other, $sessions);
            if ($other !== null && $past !== null) {
                $grid = $other->grid();
                $closes[$other->symbol] = array_map(static fn ($bar): array => [$bar->end, BigDecimal::of($grid->format($bar->close))], $past->bars);
            }
        }

        return new OtherBarList($closes);
    }
}
