<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Watchpost\Core\Setups\UpdateKind;

final class UpdateRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kind' => ['required', Rule::enum(UpdateKind::class)],
            'price' => ['required_if:kind,move_stop,move_target', 'nullable', 'string', 'max:30'],
            'number' => ['required_if:kind,move_target', 'nullable', 'integer', 'min:1'],
            'share' => ['required_if:kind,exit', 'nullable', 'string', 'max:4'],
            'text' => ['required_if:kind,note', 'nullable', 'string', 'max:400'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'price.required_if' => 'Write the new price.',
            'share.required_if' => 'Write how much of what is open is taken off, in percent.',
            'text.required_if' => 'Write what is to be said.',
        ];
    }
}
