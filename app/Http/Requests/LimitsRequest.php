<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class LimitsRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'relativeVolume' => ['required', 'numeric', 'between:1,50'],
            'stretchAtr' => ['required', 'numeric', 'between:0.5,50'],
            'deviations' => ['required', 'numeric', 'between:0.5,10'],
            'streak' => ['required', 'integer', 'between:2,50'],
            'earningsSessions' => ['required', 'integer', 'between:0,90'],
            'turnover' => ['required', 'integer', 'between:0,1000000000000'],
            'brokenFor' => ['required', 'integer', 'between:1,500'],
            'farAt' => ['required', 'numeric', 'between:2,200'],
            'farFor' => ['required', 'integer', 'between:1,250'],
            'accountValue' => ['required', 'integer', 'between:100,1000000000000'],
            'riskPercent' => ['required', 'numeric', 'between:0.01,20'],
            'leastReward' => ['required', 'numeric', 'between:0,20'],
            'noiseAtr' => ['required', 'numeric', 'between:0,10'],
            'volumeShare' => ['required', 'numeric', 'between:0.01,100'],
            'sideShare' => ['required', 'integer', 'between:50,100'],
            'groupMost' => ['required', 'integer', 'between:1,50'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['*.required' => 'Enter a number.', '*.between' => 'Enter a number from :min to :max.', '*.integer' => 'Enter a whole number.', '*.numeric' => 'Enter a number.'];
    }

    /** @return array<string, float|int> */
    public function limits(): array
    {
        $limits = [];
        foreach ($this->rules() as $name => $rules) {
            $limits[$name] = in_array('integer', $rules, true) ? $this->integer($name) : $this->float($name);
        }

        return $limits;
    }
}
