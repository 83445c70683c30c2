<?php

declare(strict_types=1);

namespace App\Reading;

use App\Enums\AverageKind;
use App\Market\AverageSetting;
use App\Models\AuthorSetting;
use App\Models\User;

/** Which gauges an author looks at, and by which averages the order is told. */
final readonly class MarketSettings
{
    public const NAME = 'market';
    public const MOST_GAUGES = 12;

    /**
     * @param list<string>         $gauges symbols
     * @param list<AverageSetting> $order  from the fastest to the slowest
     */
    public function __construct(public array $gauges, public array $order)
    {
    }

    public static function of(User $author): self
    {
        $kept = AuthorSetting::query()->where(['author_id' => $author->id, 'name' => self::NAME])->first();
        /** @var array{gauges: list<string>, order: list<array{kind: string, period: int}>} $value */
        $value = $kept->value ?? ['gauges' => config()->array('watchpost.market.gauges'), 'order' => config()->array('watchpost.market.order')];

        return self::fromArray($value);
    }

    /** @param array{gauges: list<string>, order: list<array{kind: string, period: int}>} $value */
    public static function fromArray(array $value): self
    {
        return new self($value['gauges'], array_map(static fn (array $one): AverageSetting => new AverageSetting(AverageKind::from($one['kind']), $one['period']), $value['order']));
    }
}
