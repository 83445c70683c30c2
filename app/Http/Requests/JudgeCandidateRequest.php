<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Enums\CandidateState;
use App\Enums\NoTrade;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

final class JudgeCandidateRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'state' => ['required', Rule::enum(CandidateState::class)],
            'reason' => ['present', 'nullable', 'string', 'max:200'],
            'no_trade' => ['sometimes', Rule::enum(NoTrade::class)],
            'theme' => ['sometimes', 'nullable', 'string', 'max:60'],
            'would_change' => ['sometimes', 'nullable', 'string', 'max:30'],
            'readers' => ['required', Rule::exists('tiers', 'key')],
        ];
    }
}
