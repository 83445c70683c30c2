<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Enums\LevelLayer;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Watchpost\Core\Market\TimeFrame;

final class ChartViewRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'frame' => ['required', Rule::enum(TimeFrame::class)],
            'larger' => ['present', 'nullable', Rule::enum(TimeFrame::class)],
            'bars' => ['required', 'integer', 'between:2,5000'],
            'back' => ['required', 'integer', 'between:0,20000'],
            'layers' => ['present', 'array'],
            'layers.*' => [Rule::enum(LevelLayer::class)],
            'clean' => ['required', 'boolean'],
            'log' => ['required', 'boolean'],
            'low' => ['present', 'nullable', 'numeric'],
            'high' => ['present', 'nullable', 'numeric'],
            'strip' => ['required', 'boolean'],
            'snaps' => ['required', 'boolean'],
        ];
    }
}
