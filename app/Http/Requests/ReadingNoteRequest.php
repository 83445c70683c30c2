<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Planning\PriceInput;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;
use Watchpost\Core\Market\PriceGrid;

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
            'conviction' => ['sometimes', 'nullable', 'integer', 'between:1,5'],
            'wrongIf' => ['sometimes', 'nullable', 'string', 'max:300'],
            'wrongAt' => ['sometimes', 'nullable', 'string', 'max:30'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['*.max' => 'At most :max characters.', 'cleanness.*' => 'Rate it from 1 to 5.', 'conviction.*' => 'Rate it from 1 to 5.'];
    }

    /**
     * @return array<string, int|string|null> columns of a candidate
     *
     * @throws ValidationException at wrongAt, when it is not a price of the instrument
     */
    public function changes(PriceGrid $grid): array
    {
        $columns = [];
        foreach (['shape' => 'shape', 'speaksFor' => 'speaks_for', 'speaksAgainst' => 'speaks_against', 'wrongIf' => 'wrong_if'] as $field => $column) {
            if ($this->has($field)) {
                $columns[$column] = trim($this->string($field)->value());
            }
        }
        foreach (['cleanness', 'conviction'] as $rating) {
            if ($this->has($rating)) {
                $columns[$rating] = $this->filled($rating) ? $this->integer($rating) : null;
            }
        }
        if ($this->has('wrongAt')) {
            $columns['wrong_at'] = $this->filled('wrongAt') ? (new PriceInput($grid))->price($this->string('wrongAt')->value(), 'wrongAt') : null;
        }

        return $columns;
    }
}
