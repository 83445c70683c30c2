<?php

declare(strict_types=1);

namespace Watchpost\Core\Rehearsal;

use Watchpost\Core\Levels\FoundLevel;
use Watchpost\Core\Levels\GapFinder;
use Watchpost\Core\Levels\Grade;
use Watchpost\Core\Levels\LevelFinder;
use Watchpost\Core\Levels\LevelKind;
use Watchpost\Core\Levels\LineFinder;
use Watchpost\Core\Levels\MovingFinder;
use Watchpost\Core\Levels\PeriodMarkFinder;
use Watchpost\Core\Levels\PivotFinder;
use Watchpost\Core\Levels\RoundFinder;
use Watchpost\Core\Levels\SwingRatioFinder;
use Watchpost\Core\Levels\ZoneFinder;

/**
 * What kind of level an entry stands at: the same kind is looked for on every past evening, by the same finder, on the
 * bars known by then. Without a kind it stands at the last close itself.
 *
 * @phpstan-type LevelRuleState array{kind: ?string, grade: ?string, name: ?string}
 */
final readonly class LevelRule
{
    /** Bars that a finder reads. */
    private const WINDOW = 270;
    private const ZONE_WINDOW = 520;
    /** Zones and lines change slowly: those of one evening serve the next ones too, which only makes them older. */
    private const SLOW = 5;
    private const ALL_TIME = 'all-time';

    /**
     * @param Grade|null  $grade null for any
     * @param string|null $name  of a mark, "high of the previous week", or an average, "SMA 50"
     */
    public function __construct(public ?LevelKind $kind = null, public ?Grade $grade = null, public ?string $name = null)
    {
    }

    /** The rule of a found level; null for one of a kind that is not looked for on past evenings. */
    public static function of(FoundLevel $level): ?self
    {
        $mark = is_string($level->details['mark'] ?? null) ? $level->details['mark'] : '';

        return match ($level->kind) {
            LevelKind::Zone => new self($level->kind, $level->grade),
            LevelKind::Average => str_starts_with($level->origin, 'SMA ') || str_starts_with($level->origin, 'EMA ') ? new self($level->kind, name: $level->origin) : null,
            LevelKind::Period => $mark === '' || str_contains($mark, self::ALL_TIME) ? null : new self($level->kind, name: $mark),
            LevelKind::Line, LevelKind::Gap, LevelKind::Pivot, LevelKind::Retracement, LevelKind::Projection, LevelKind::Round => new self($level->kind),
            default => null,
        };
    }

    /** "a major zone", "SMA 50", "the high of the previous week", "the last close" */
    public function words(): string
    {
        return match ($this->kind) {
            null => 'the last close',
            LevelKind::Zone => "a {$this->grade?->value} zone",
            LevelKind::Average => "the {$this->name}",
            LevelKind::Period => "the {$this->name}",
            LevelKind::Line => 'a trend line',
            LevelKind::Gap => 'the edge of an open gap',
            LevelKind::Pivot => 'a pivot point',
            LevelKind::Round => 'a round number',
            default => "a {$this->kind->value}",
        };
    }

    public function matches(FoundLevel $level): bool
    {
        return ! $level->isOver() && $level->kind === $this->kind
            && ($this->grade === null || $level->grade === $this->grade)
            && ($this->name === null || $level->origin === $this->name || ($level->details['mark'] ?? null) === $this->name);
    }

    public function finder(): ?LevelFinder
    {
        return match ($this->kind) {
            LevelKind::Zone => new ZoneFinder(),
            LevelKind::Average => new MovingFinder([$this->average()]),
            LevelKind::Period => new PeriodMarkFinder(),
            LevelKind::Line => new LineFinder(false),
            LevelKind::Gap => new GapFinder(),
            LevelKind::Pivot => new PivotFinder(),
            LevelKind::Retracement, LevelKind::Projection => new SwingRatioFinder(),
            LevelKind::Round => new RoundFinder(),
            default => null,
        };
    }

    /** How many bars up to an evening the finder reads. */
    public function window(): int
    {
        return match ($this->kind) {
            LevelKind::Zone, LevelKind::Line => self::ZONE_WINDOW,
            LevelKind::Average => max(self::WINDOW, 4 * $this->average()[1]),
            default => self::WINDOW,
        };
    }

    /** For how many evenings what was found may serve. */
    public function lasts(): int
    {
        return $this->kind === LevelKind::Zone || $this->kind === LevelKind::Line ? self::SLOW : 1;
    }

    /** @return LevelRuleState */
    public function toState(): array
    {
        return ['kind' => $this->kind?->value, 'grade' => $this->grade?->value, 'name' => $this->name];
    }

    /** @param LevelRuleState $state */
    public static function fromState(array $state): self
    {
        return new self(
            $state['kind'] === null ? null : LevelKind::from($state['kind']),
            $state['grade'] === null ? null : Grade::from($state['grade']),
            $state['name'],
        );
    }

    /** @return array{string, int} */
    private function average(): array
    {
        [$type, $period] = explode(' ', (string) $this->name) + ['SMA', '20'];

        return [strtolower($type), (int) $period];
    }
}
