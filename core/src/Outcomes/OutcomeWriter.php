<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Watchpost\Core\Market\Instant;

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
        $realised = $position->profit->minus($position->costs);
        $open = $position->openGainAt($this->run->lastBar->close ?? 0);
        $total = $realised->plus($open);
        $average = $filled ? $position->averageFill() : null;
        $perUnit = $filled ? $total->dividedBy($position->filled) : null;

        return new Outcome(
            status: $status,
            r: $filled ? $this->inR($total) : null,
            rRealised: $filled ? $this->inR($realised) : null,
            rOpen: $filled ? $this->inR($open) : null,
            percent: $average === null || $perUnit === null ? null : $this->round($perUnit->dividedBy($average->abs())->multipliedBy(100), self::PERCENT_DECIMALS),
            perUnit: $perUnit === null ? null : $this->run->terms->grid->formatExact($perUnit->dividedBy($this->run->factor)),
            averageFill: $average === null ? null : $this->run->terms->grid->formatExact($average->multipliedBy($this->run->sign)->dividedBy($this->run->factor), self::AVERAGE_EXTRA_DECIMALS),
            filledShare: SetupRun::share($position->filled),
            // The risk per unit is P over the shares counted in it.
            mfeR: $average === null ? null : $this->inR($this->run->excursion->gainAgainst($average)->multipliedBy($this->counted)),
            maeR: $average === null ? null : $this->inR($this->run->excursion->lossAgainst($average)->multipliedBy($this->counted)),
            sessionsHeld: $filled ? $this->sessionsHeld() : null,
            firstFillAt: $this->run->firstFillAt === null ? null : Instant::format($this->run->firstFillAt),
            closedAt: $this->run->closedAt === null || $position->isOpen() ? null : Instant::format($this->run->closedAt),
            ambiguous: array_filter($this->run->events, static fn (Event $event): bool => $event->assumed) !== [],
            missedBy: $status === OutcomeStatus::NotTriggered ? $this->missedBy() : null,
            targetFirst: $this->run->targetFirst,
            stop: $this->run->price($this->run->stop),
            events: $this->run->events,
        );
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
            'percent' => $this->round(BigRational::nd($missed->distance * 100, abs($leg->trigger->plannedPrice() ?? 1)), self::PERCENT_DECIMALS),
            'session' => $missed->session,
        ];
    }

    private function inR(BigRational $units): string
    {
        return $this->round($units->dividedBy($this->risk), self::R_DECIMALS);
    }

    private function round(BigRational $value, int $decimals): string
    {
        return (string) $value->toScale($decimals, RoundingMode::HALF_UP);
    }
}
