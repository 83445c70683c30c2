<?php

declare(strict_types=1);

namespace App\Market;

use App\Enums\AverageKind;
use App\Enums\PaneKind;
use App\Models\AuthorSetting;
use App\Models\User;

/** What an author has switched on in the chart, kept from one evening to the next. */
final readonly class ChartSettings
{
    public const NAME = 'chart';
    public const MOST_AVERAGES = 5;
    public const MOST_PANES = 3;
    private const LEAST_LEAD = 60;

    /**
     * @param list<AverageSetting> $averages
     * @param list<PaneSetting>    $panes
     * @param bool                 $extended whether the hours around the session are shown
     */
    public function __construct(public array $averages, public array $panes, public bool $extended = false)
    {
    }

    /** What ships: an editable start. */
    public static function usual(): self
    {
        /** @var list<array{kind: string, period: int}> $averages */
        $averages = config()->array('watchpost.chart.averages');

        return self::fromArray(['averages' => $averages, 'panes' => [['kind' => PaneKind::Volume->value, 'parameters' => [], 'symbol' => null]], 'extended' => false]);
    }

    public static function of(User $author): self
    {
        $kept = AuthorSetting::query()->where(['author_id' => $author->id, 'name' => self::NAME])->first();
        if ($kept === null) {
            return self::usual();
        }
        /** @var array{averages: list<array{kind: string, period: int}>, panes: list<array{kind: string, parameters: array<string, int>, symbol: ?string}>, extended: bool} $value */
        $value = $kept->value;

        return self::fromArray($value);
    }

    /** @param array{averages: list<array{kind: string, period: int}>, panes: list<array{kind: string, parameters: array<string, int>, symbol: ?string}>, extended: bool} $value */
    public static function fromArray(array $value): self
    {
        return new self(
            array_map(static fn (array $one): AverageSetting => new AverageSetting(AverageKind::from($one['kind']), $one['period']), $value['averages']),
            array_map(static function (array $one): PaneSetting {
                $kind = PaneKind::from($one['kind']);

                return new PaneSetting($kind, array_replace($kind->parameters(), array_intersect_key($one['parameters'], $kind->parameters())), $one['symbol']);
            }, $value['panes']),
            $value['extended'],
        );
    }

    /** @return array{averages: list<array{kind: string, period: int}>, panes: list<array{kind: string, parameters: array<string, int>, symbol: ?string}>, extended: bool} */
    public function toArray(): array
    {
        return [
            'averages' => array_map(static fn (AverageSetting $one): array => ['kind' => $one->kind->value, 'period' => $one->period], $this->averages),
            'panes' => array_map(static fn (PaneSetting $one): array => ['kind' => $one->kind->value, 'parameters' => $one->parameters, 'symbol' => $one->symbol], $this->panes),
            'extended' => $this->extended,
        ];
    }

    /** The same without panes: for a chart that is one of several. */
    public function bare(): self
    {
        return new self($this->averages, []);
    }

    /** How many bars are needed before the first one shown. */
    public function lead(): int
    {
        return max([
            self::LEAST_LEAD,
            ...array_map(static fn (AverageSetting $one): int => $one->kind === AverageKind::Exponential ? 5 * $one->period : $one->period, $this->averages),
            ...array_map(static fn (PaneSetting $one): int => $one->lead(), $this->panes),
        ]);
    }
}
