<?php

declare(strict_types=1);

namespace Watchpost\Core\Studies;

use Brick\Math\BigRational;
use Watchpost\Core\Market\Bar;

/**
 * How much was traded so far in this session, against the mean of the previous 20 sessions up to the same number of
 * base bars. A session with fewer bars counts with what it has. Volumes are told on one scale: over a split an old
 * unit is so many new ones.
 *
 * Source: rules.md, Conditions (relative_volume_min) and fine print 36.
 */
final class VolumeProfile
{
    private const SESSIONS = 20;

    /** @var list<array{int, list<int>}> of the previous sessions: the factor of their prices, and the volume up to each bar */
    private array $before = [];
    private ?string $session = null;
    private int $factor = 1;
    /** @var list<int> volume of the session up to each finished bar */
    private array $sofar = [];

    /** @param int $factor what a unit of the bar's own prices is worth on the scale of the run */
    public function see(Bar $bar, int $factor): void
    {
        $this->begin($bar->session, $factor);
        $this->sofar[] = ($this->sofar === [] ? 0 : $this->sofar[count($this->sofar) - 1]) + $bar->volume;
    }

    /** A session begins: what was traded before is that of a finished one. */
    public function begin(string $session, int $factor): void
    {
        if ($session === $this->session) {
            return;
        }
        if ($this->sofar !== []) {
            $this->before[] = [$this->factor, $this->sofar];
            if (count($this->before) > self::SESSIONS) {
                array_shift($this->before);
            }
        }
        $this->session = $session;
        $this->factor = $factor;
        $this->sofar = [];
    }

    /** The volume so far over the mean; null where it is undefined. */
    public function relative(): ?BigRational
    {
        $bars = count($this->sofar);
        if ($bars === 0 || count($this->before) < self::SESSIONS) {
            return null;
        }
        $sum = BigRational::zero();
        foreach ($this->before as [$factor, $volumes]) {
            // prices times the factor are one scale, so volumes over the factor are
            $sum = $sum->plus(BigRational::nd($volumes[min($bars, count($volumes)) - 1], $factor));
        }

        return $sum->isZero() ? null : BigRational::nd($this->sofar[$bars - 1] * self::SESSIONS, $this->factor)->dividedBy($sum);
    }

    /** @return array{list<array{int, list<int>}>, ?string, int, list<int>} */
    public function toState(): array
    {
        return [$this->before, $this->session, $this->factor, $this->sofar];
    }

    /** @param array{list<array{int, list<int>}>, ?string, int, list<int>} $state */
    public function restore(array $state): void
    {
        [$this->before, $this->session, $this->factor, $this->sofar] = $state;
    }
}
