<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class ReadingNoteRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'shape' => ['sometimes', 'nullable', 'string', 'max:60'],
            'cleanness' => ['sometimes', 'nullable', 'integer', 'between:1,5'],
            'speaksFor' => ['sometimes', 'nullable', 'string', 'max:600'],
            'speaksAgainst' => ['sometimes', 'nullable', 'string', 'max:600'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['*.max' => 'At most :max characters.', 'cleanness.*' => 'Rate it from 1 to 5.'];
    }

    /** @return array<string, int|string|null> columns of a candidate */
    public function changes(): array
    {
        $columns = [];
        foreach (['shape' => 'shape', 'speaksFor' => 'speaks_for', 'speaksAgainst' => 'speaks_against'] as $field => $column) {
            if ($this->has($field)) {
                $columns[$column] = trim($this->string($field)->value());
            }
        }

        return $this->has('cleanness') ? [...$columns, 'cleanness' => $this->filled('cleanness') ? $this->integer('cleanness') : null] : $columns;
    }
}
