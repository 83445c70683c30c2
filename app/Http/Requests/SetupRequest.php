<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Planning\PriceInput;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Watchpost\Core\Setups\Side;
use Watchpost\Core\Setups\TriggerKind;

final class SetupRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $price = ['sometimes', 'nullable', 'string', 'max:30'];

        return [
            PriceInput::SURE => ['sometimes', 'boolean'],
            'side' => ['sometimes', Rule::enum(Side::class)],
            'trigger' => ['sometimes', Rule::enum(TriggerKind::class)],
            'entry' => $price,
            'within' => $price,
            'no_chase' => ['sometimes', 'boolean'],
            'stop' => $price,
            'cancel' => $price,
            'good_for' => ['sometimes', 'integer', 'between:1,120'],
            'targets' => ['sometimes', 'array', 'max:2'],
            'targets.*.price' => ['present', 'nullable', 'string', 'max:30'],
            'targets.*.share' => ['required', 'string', 'max:10', 'regex:/^\d+(\.\d+)?$/'],
        ];
    }

    /** @return array{side?: string, trigger?: string, entry?: ?string, within?: ?string, no_chase?: bool, stop?: ?string, cancel?: ?string, good_for?: int, targets?: list<array{price: ?string, share: string}>} */
    public function changes(): array
    {
        /** @var array{side?: string, trigger?: string, entry?: ?string, within?: ?string, no_chase?: bool, stop?: ?string, cancel?: ?string, good_for?: int, targets?: list<array{price: ?string, share: string}>} $changes */
        $changes = $this->safe()->except(PriceInput::SURE);
        if (isset($changes['good_for'])) {
            $changes['good_for'] = $this->integer('good_for');
        }

        return $changes;
    }
}
