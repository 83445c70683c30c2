<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Watchpost\Core\Market\Instant;
use Watchpost\Core\Market\Quotient;

/**
 * Turns the state of a run into its result. Formulas and rounding: rules.md, Result.
 */
final readonly class OutcomeWriter
{
    private const R_DECIMALS = 4;
    private const PERCENT_DECIMALS = 2;
    private const AVERAGE_EXTRA_DECIMALS = 2;

    /** P, in units: the planned risk of the full size, and 1 R. */
    private BigRational $risk;
    /** The shares of the legs that are counted in it. */
    private BigDecimal $counted;

    public function __construct(private SetupRun $run, private int $asOf)
    {
        $risk = $counted = BigDecimal::zero();
        foreach ($run->legs as $state) {
            $price = $state->leg->trigger->plannedPrice() ?? $state->fillPrice;
            if ($price !== null) {
                $risk = $risk->plus($state->leg->share->multipliedBy(abs($price - $run->setup->stop)));
                $counted = $counted->plus($state->leg->share);
            }
        }
        $this->risk = $risk->toBigRational();
        $this->counted = $counted;
    }

    public function write(): Outcome
    {
        $position = $this->run->position;
        $filled = $position->wasFilled();
        $status = $this->status();
        $open = $position->openGainAt($this->run->lastBar->close ?? 0);
        $realised = $position->realised();
        $total = $position->isOpen() ? $realised->plus($open) : $realised;
        $average = $filled ? $position->averageFill() : null;
        $excursion = $this->run->measured();

        return new Outcome(
            status: $status,
            r: $filled ? $this->inR($total) : null,
            rRealised: $filled ? $this->inR($realised) : null,
            rOpen: $filled ? $this->inR($open) : null,
            percent: $filled ? Quotient::text($total->multipliedBy(100), $position->paid->abs()->toBigRational(), self::PERCENT_DECIMALS) : null,
            perUnit: $filled ? $this->perShare($total, 0) : null,
            averageFill: $filled ? $this->perShare($position->paid->multipliedBy($this->run->sign)->toBigRational(), self::AVERAGE_EXTRA_DECIMALS) : null,
            filledShare: SetupRun::share($position->filled),
            mfeR: $average === null ? null : $this->inPlannedR($excursion->gainAgainst($average)),
            maeR: $average === null ? null : $this->inPlannedR($excursion->lossAgainst($average)),
            sessionsHeld: $filled ? $this->sessionsHeld() : null,
            firstFillAt: $this->run->firstFillAt === null ? null : Instant::format($this->run->firstFillAt),
            closedAt: $this->run->closedAt === null || $position->isOpen() ? null : Instant::format($this->run->closedAt),
            ambiguous: $this->isAmbiguous(),
            missedBy: $status === OutcomeStatus::NotTriggered ? $this->missedBy() : null,
            targetFirst: $this->run->targetFirst,
            stop: $this->run->price($this->run->stop),
            events: $this->run->events,
        );
    }

    private function isAmbiguous(): bool
    {
        foreach ($this->run->events as $event) {
            if ($event->assumed) {
                return true;
            }
        }

        return false;
    }

    private function status(): OutcomeStatus
    {
        return match (true) {
            $this->run->position->isOpen() => OutcomeStatus::Open,
            $this->run->position->wasFilled() => OutcomeStatus::Closed,
            $this->run->isWaiting() => OutcomeStatus::Waiting,
            $this->run->lastEnd === LegStatus::Cancelled => OutcomeStatus::Cancelled,
            $this->run->lastEnd === LegStatus::Void => OutcomeStatus::Void,
            default => OutcomeStatus::NotTriggered,
        };
    }

    /** Sessions with bars from that of the first fill to that of the last exit, or to the last finished one. */
    private function sessionsHeld(): int
    {
        $session = $this->run->track->session();
        $running = $this->run->position->isOpen() && $session !== null && $session->close > $this->asOf;

        return $this->run->sessionsSeen - ($running ? 1 : 0);
    }

    /** @return array{leg: string, price: string, percent: string, session: string}|null */
    private function missedBy(): ?array
    {
        $missed = $this->run->missedBy;
        if ($missed === null) {
            return null;
        }
        $leg = $this->run->setup->legs[$missed->leg];

        return [
            'leg' => $leg->name,
            'price' => $this->run->told($missed->distance, $this->run->terms->scale->factor($missed->session)),
            'percent' => Quotient::text(BigRational::of($missed->distance * 100), BigRational::of(abs($leg->trigger->plannedPrice() ?? 1)), self::PERCENT_DECIMALS),
            'session' => $missed->session,
        ];
    }

    /** So many units of the trade for each unit that was filled, as a price. */
    private function perShare(BigRational $units, int $extra): string
    {
        $grid = $this->run->terms->grid;

        return Quotient::text($units, $this->run->position->filled->multipliedBy($this->run->factor * 10 ** $grid->decimals)->toBigRational(), $grid->decimals + $extra);
    }

    private function inR(BigRational $units): string
    {
        return Quotient::text($units, $this->risk, self::R_DECIMALS);
    }

    /** Units of price in R: the risk per unit is P over the shares counted in it. */
    private function inPlannedR(BigRational $units): string
    {
        return $this->inR($units->multipliedBy($this->counted));
    }
}
