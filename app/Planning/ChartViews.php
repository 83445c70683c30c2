<?php

declare(strict_types=1);

namespace App\Planning;

use App\Data\ChartViewData;
use App\Enums\LevelLayer;
use App\Models\ChartView;
use App\Models\Instrument;
use App\Models\User;
use Watchpost\Core\Market\TimeFrame;

/** The view in which an author left the chart of an instrument, so that it opens as it was left. */
final class ChartViews
{
    private const USUAL_BARS = 110;

    public function of(User $author, Instrument $instrument): ChartViewData
    {
        $kept = ChartView::query()->where(['author_id' => $author->id, 'instrument_id' => $instrument->id])->first();
        /** @var array{frame?: string, larger?: string|null, bars?: int, back?: int, layers?: list<string>, clean?: bool, log?: bool, low?: float|null, high?: float|null, strip?: bool, snaps?: bool} $value */
        $value = $kept->value ?? [];

        return new ChartViewData(
            TimeFrame::tryFrom($value['frame'] ?? '') ?? TimeFrame::Day,
            array_key_exists('larger', $value) ? TimeFrame::tryFrom($value['larger'] ?? '') : TimeFrame::Week,
            $value['bars'] ?? self::USUAL_BARS,
            $value['back'] ?? 0,
            array_values(array_filter(array_map(LevelLayer::tryFrom(...), $value['layers'] ?? ['own', 'check', 'gaps']))),
            $value['clean'] ?? false,
            $value['log'] ?? false,
            $value['low'] ?? null,
            $value['high'] ?? null,
            $value['strip'] ?? false,
            $value['snaps'] ?? true,
        );
    }

    /** @param array<string, mixed> $value */
    public function keep(User $author, Instrument $instrument, array $value): void
    {
        ChartView::query()->updateOrCreate(['author_id' => $author->id, 'instrument_id' => $instrument->id], ['value' => $value]);
    }
}
