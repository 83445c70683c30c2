<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Enums\LevelGrade;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class LevelRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'price' => ['required', 'string', 'max:30'],
            'origin' => ['sometimes', 'nullable', 'string', 'max:60'],
            'grade' => ['sometimes', Rule::enum(LevelGrade::class)],
        ];
    }

    public function origin(string $default): string
    {
        return $this->filled('origin') ? $this->string('origin')->value() : $default;
    }

    public function grade(LevelGrade $default): LevelGrade
    {
        return $this->enum('grade', LevelGrade::class) ?? $default;
    }
}
