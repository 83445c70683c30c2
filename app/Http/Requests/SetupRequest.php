<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Actions\ChangeSetup;
use App\Planning\PriceInput;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\CancelSide;
use Watchpost\Core\Setups\Draft;
use Watchpost\Core\Setups\Side;
use Watchpost\Core\Setups\TriggerKind;

/** @phpstan-import-type Changes from ChangeSetup */
final class SetupRequest extends FormRequest
{
    private const SHARE = ['string', 'max:10', 'regex:/^\d+(\.\d+)?$/'];
    private const NUMBER = ['nullable', 'string', 'max:20', 'regex:/^-?\d+(\.\d+)?$/'];

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $price = ['sometimes', 'nullable', 'string', 'max:30'];
        $text = ['sometimes', 'nullable', 'string', 'max:40'];
        $closes = static fn (string $key): array => [
            $key => ['sometimes', 'nullable', 'array:timeframe,times'],
            "{$key}.timeframe" => ["required_with:{$key}", Rule::enum(TimeFrame::class)],
            "{$key}.times" => ["required_with:{$key}", 'integer', 'between:1,20'],
        ];

        return [
            PriceInput::SURE => ['sometimes', 'boolean'],
            'side' => ['sometimes', Rule::enum(Side::class)],
            'trigger' => ['sometimes', Rule::enum(TriggerKind::class)],
            'entry' => $price,
            'within' => $price,
            'no_chase' => ['sometimes', 'boolean'],
            'leg' => ['sometimes', 'array:number,price'],
            'leg.number' => ['required_with:leg', 'integer', 'between:0,'.(Draft::MOST_LEGS - 1)],
            'leg.price' => $price,
            'legs' => ['sometimes', 'array', 'list', 'min:1', 'max:'.Draft::MOST_LEGS],
            'legs.*.name' => $text,
            'legs.*.share' => ['sometimes', ...self::SHARE],
            'legs.*.kind' => ['required', Rule::enum(TriggerKind::class)],
            'legs.*.price' => $price,
            'legs.*.within' => $price,
            'legs.*.beyond' => $price,
            'legs.*.worst' => $price,
            'legs.*.noChase' => ['sometimes', 'boolean'],
            'legs.*.nextOpen' => ['sometimes', 'boolean'],
            'legs.*.timeframe' => ['sometimes', Rule::enum(TimeFrame::class)],
            'legs.*.times' => ['sometimes', 'integer', 'between:1,20'],
            'legs.*.bars' => ['sometimes', 'integer', 'between:1,50'],
            'legs.*.gapMin' => ['sometimes', ...self::NUMBER],
            'legs.*.gapMax' => ['sometimes', ...self::NUMBER],
            'legs.*.needs' => $text,
            'stop' => $price,
            ...$closes('stop_closes'),
            'cancel' => $price,
            'cancel_side' => ['sometimes', Rule::enum(CancelSide::class)],
            ...$closes('cancel_closes'),
            'good_for' => ['sometimes', 'integer', 'between:1,120'],
            'targets' => ['sometimes', 'array', 'list', 'max:'.Draft::MOST_TARGETS],
            'targets.*.price' => ['present', 'nullable', 'string', 'max:30'],
            'targets.*.share' => ['required', ...self::SHARE],
            'conditions' => ['sometimes', 'array', 'list', 'max:12'],
            'conditions.*' => ['array:kind,value,type,period,symbol,price,from,to'],
            'conditions.*.*' => $text,
            'stop_moves' => ['sometimes', 'array', 'list', 'max:8'],
            'stop_moves.*' => ['array:after,afterValue,to,price,number,timeframe,type,period,multiple,bars'],
            'stop_moves.*.*' => $text,
            'time_stop' => ['sometimes', 'nullable', 'integer', 'between:1,500'],
            'open_exit' => ['sometimes', 'nullable', 'array:session,gapMin'],
            'open_exit.session' => ['required_with:open_exit', 'integer', 'between:2,60'],
            'open_exit.gapMin' => self::NUMBER,
        ];
    }

    /** @return Changes */
    public function changes(): array
    {
        /** @var Changes $changes */
        $changes = $this->whole($this->safe()->except(PriceInput::SURE));

        return $changes;
    }

    /**
     * Counts as numbers, whatever form they came in.
     *
     * @param array<array-key, mixed> $values
     *
     * @return array<array-key, mixed>
     */
    private function whole(array $values): array
    {
        foreach ($values as $key => $value) {
            if (is_array($value) && ! in_array($key, ['conditions', 'stop_moves'], true)) {
                $values[$key] = $this->whole($value);
            } elseif (in_array($key, ['good_for', 'times', 'bars', 'time_stop', 'session', 'number'], true) && is_numeric($value)) {
                $values[$key] = (int) $value;
            }
        }

        return $values;
    }
}
