<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

use Watchpost\Core\Market\Series;

/** Which levels no longer matter: broken long ago, far away for long, or gaps that are filled. */
final readonly class Retirement
{
    /**
     * @param int   $brokenFor sessions since the break without a touch that held
     * @param float $farAt     usual ranges from the last close
     * @param int   $farFor    sessions for which it has been as far as that
     */
    public function __construct(private int $brokenFor = 40, private float $farAt = 15.0, private int $farFor = 20)
    {
    }

    /**
     * The reason for which a level is to be laid aside now; null while it matters.
     *
     * @param list<Touch> $touches  since it was marked, in order of time
     * @param int         $markedAt index of the last bar known when it was marked
     */
    public function reason(LevelInput $input, Band $band, array $touches, int $markedAt): ?RetirementReason
    {
        $last = $touches === [] ? null : $touches[count($touches) - 1];
        if ($last?->kind === TouchKind::Broke && $this->sessionsSince($input->series, $last->session) >= $this->brokenFor) {
            return RetirementReason::Broken;
        }
        if ($input->last - $markedAt < $this->farFor) {
            return null;
        }
        for ($i = $input->last - $this->farFor + 1; $i <= $input->last; ++$i) {
            if ($i < 0 || ! $this->isFar($input, $band, $i)) {
                return null;
            }
        }

        return RetirementReason::Far;
    }

    private function isFar(LevelInput $input, Band $band, int $index): bool
    {
        $low = $band->low[$index];
        $high = $band->high[$index];
        $range = $input->atr[$index];

        return $low !== null && $high !== null && $range !== null && ($input->lows[$index] - $high > $this->farAt * $range || $low - $input->highs[$index] > $this->farAt * $range);
    }

    private function sessionsSince(Series $series, string $session): int
    {
        $count = 0;
        for ($i = $series->count() - 1; $i >= 0 && $series->session[$i] > $session; --$i) {
            ++$count;
        }

        return $count;
    }
}
