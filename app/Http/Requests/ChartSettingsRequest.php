<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Enums\AverageKind;
use App\Enums\PaneKind;
use App\Market\ChartSettings;
use App\Models\Instrument;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What is switched on in the chart. */
final class ChartSettingsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'averages' => ['present', 'array', 'max:'.ChartSettings::MOST_AVERAGES],
            'averages.*.kind' => ['required', Rule::enum(AverageKind::class)],
            'averages.*.period' => ['required', 'integer', 'between:2,400'],
            'panes' => ['present', 'array', 'max:'.ChartSettings::MOST_PANES],
            'panes.*.kind' => ['required', Rule::enum(PaneKind::class)],
            'panes.*.parameters' => ['present', 'array'],
            'panes.*.parameters.*' => ['integer', 'between:1,400'],
            'panes.*.symbol' => ['nullable', 'string', Rule::exists(Instrument::class, 'symbol')],
            'extended' => ['required', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'averages.max' => 'At most '.ChartSettings::MOST_AVERAGES.' averages are shown at once.',
            'panes.max' => 'At most '.ChartSettings::MOST_PANES.' panes are shown at once.',
            'averages.*.period' => 'An average is taken over 2 to 400 bars.',
            'panes.*.parameters.*' => 'Enter a whole number from 1 to 400.',
            'panes.*.symbol' => 'There is no instrument :input to compare with.',
        ];
    }

    public function settings(): ChartSettings
    {
        /** @var array{averages: list<array{kind: string, period: int}>, panes: list<array{kind: string, parameters: array<string, int>, symbol: ?string}>, extended: bool} $value */
        $value = $this->validated();

        return ChartSettings::fromArray([
            'averages' => $value['averages'],
            'panes' => array_map(static fn (array $pane): array => ['kind' => $pane['kind'], 'parameters' => $pane['parameters'], 'symbol' => $pane['symbol'] ?? null], $value['panes']),
            'extended' => $value['extended'],
        ]);
    }
}
