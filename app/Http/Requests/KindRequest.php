<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\SetupKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Watchpost\Core\Setups\Checklist\Judges;

final class KindRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:40'],
            'checklist' => ['present', 'array', 'list', 'max:20'],
            'checklist.*' => ['array:kind,value'],
            'checklist.*.kind' => ['required', Rule::in([SetupKind::OWN, ...array_keys(Judges::kinds())])],
            'checklist.*.value' => ['present', 'nullable', 'string', 'max:120'],
            'defaults' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.required' => 'A kind of setup needs a name.'];
    }

    /** @return list<array{kind: string, value: string}> */
    public function checklist(): array
    {
        /** @var list<array{kind: string, value: string|null}> $lines */
        $lines = $this->validated('checklist');

        return array_map(static fn (array $line): array => ['kind' => $line['kind'], 'value' => trim((string) $line['value'])], $lines);
    }
}
