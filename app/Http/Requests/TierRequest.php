<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Enums\Sees;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class TierRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:40'],
            'sees' => ['required', Rule::enum(Sees::class)],
            'opens_after_hours' => ['present', 'nullable', 'integer', 'between:1,8760'],
            'after' => ['sometimes', Rule::exists('tiers', 'key')],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.required' => 'Write a name.', 'opens_after_hours.*' => 'Write whole hours, from 1 to 8,760, or nothing.'];
    }

    public function hours(): ?int
    {
        return $this->filled('opens_after_hours') ? $this->integer('opens_after_hours') : null;
    }
}
