<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Watchpost\Core\Sizing\OptionRight;
use Watchpost\Core\Sizing\OptionShape;

final class OptionRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $decimal = ['string', 'max:20', 'regex:/^\d+(\.\d+)?$/'];

        return [
            'option' => ['present', 'nullable', 'array:shape,right,expiry,multiplier,strikes,premiums'],
            'option.shape' => ['required_with:option', Rule::enum(OptionShape::class)],
            'option.right' => ['required_with:option', Rule::enum(OptionRight::class)],
            'option.expiry' => ['required_with:option', 'date_format:Y-m-d'],
            'option.multiplier' => ['required_with:option', ...$decimal],
            'option.strikes' => ['required_with:option', 'array', 'list', 'between:1,3'],
            'option.strikes.*' => ['required', ...$decimal],
            'option.premiums' => ['required_with:option', 'array', 'list', 'between:1,3'],
            'option.premiums.*' => ['required', ...$decimal],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'option.expiry.*' => 'Write the date like 2026-11-20.',
            'option.multiplier.*' => 'Write how many units a contract is of.',
            'option.strikes.*.*' => 'Write the strike as a price.',
            'option.premiums.*.*' => 'Write the premium of one unit, 0 or more.',
        ];
    }

    /** @return array{shape: OptionShape, right: OptionRight, expiry: string, multiplier: string, strikes: list<string>, premiums: list<string>}|null */
    public function terms(): ?array
    {
        /** @var array{option: array{shape: string, right: string, expiry: string, multiplier: string, strikes: list<string>, premiums: list<string>}|null} $valid */
        $valid = $this->validated();
        $option = $valid['option'];

        return $option === null ? null : ['shape' => OptionShape::from($option['shape']), 'right' => OptionRight::from($option['right'])] + $option;
    }
}
