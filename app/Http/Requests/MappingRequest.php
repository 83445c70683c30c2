<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Import\DateReader;
use App\Import\Mapping;
use App\Models\Instrument;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** How a file is to be read. */
final class MappingRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'delimiter' => ['required', Rule::in([',', ';', "\t", '|'])],
            'header' => ['required', 'boolean'],
            'columns' => ['present', 'array'],
            'columns.*' => ['nullable', 'integer', 'between:0,200'],
            'dates' => ['required', Rule::in(array_keys(DateReader::FORMATS))],
            'zone' => ['required', 'timezone:all'],
            'timeFrame' => ['required', Rule::in(['5m', '1d'])],
            'symbol' => ['present', 'nullable', 'string', Rule::when($this->string('symbol')->isNotEmpty(), [Rule::exists(Instrument::class, 'symbol')])],
            'decimal' => ['required', Rule::in(['.', ','])],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['symbol.exists' => 'There is no instrument :input.', 'zone' => 'There is no time zone of this name.'];
    }

    /** A tab is a delimiter here, not white space to be trimmed away. */
    protected function prepareForValidation(): void
    {
        $raw = json_decode($this->getContent(), true);
        if (is_array($raw) && ($raw['delimiter'] ?? null) === "\t") {
            $this->merge(['delimiter' => "\t"]);
        }
    }

    public function mapping(): Mapping
    {
        /** @var array{delimiter: string, header: bool, columns: array<string, ?int>, dates: string, zone: string, timeFrame: string, symbol: ?string, decimal: string} $data */
        $data = $this->validated();

        return new Mapping(
            $data['delimiter'],
            $data['header'],
            array_map(intval(...), array_filter($data['columns'], static fn (?int $column): bool => $column !== null)),
            $data['dates'],
            $data['zone'],
            $data['timeFrame'],
            $data['symbol'] ?? '',
            $data['decimal'],
        );
    }
}
