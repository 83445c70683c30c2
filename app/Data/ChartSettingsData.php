<?php

declare(strict_types=1);

namespace App\Data;

use App\Market\AverageSetting;
use App\Market\ChartSettings;
use App\Market\PaneSetting;

/** What the author has switched on in the chart. */
final readonly class ChartSettingsData
{
    /**
     * @param list<AverageSettingData> $averages
     * @param list<PaneSettingData>    $panes
     */
    public function __construct(public array $averages, public array $panes, public bool $extended)
    {
    }

    public static function of(ChartSettings $settings): self
    {
        return new self(
            array_map(static fn (AverageSetting $one): AverageSettingData => new AverageSettingData($one->kind, $one->period), $settings->averages),
            array_map(static fn (PaneSetting $one): PaneSettingData => new PaneSettingData($one->kind, array_keys($one->parameters), array_values($one->parameters), $one->symbol), $settings->panes),
            $settings->extended,
        );
    }
}
