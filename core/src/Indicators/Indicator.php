<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/**
 * An indicator by its name, with what can be set and what it gives. One output makes an array of values, several a map
 * of arrays; each is as long as the bars, null where undefined.
 */
final readonly class Indicator
{
    /**
     * @param list<Parameter>                                                             $parameters
     * @param list<string>                                                                $outputs    empty: one array
     * @param \Closure(Inputs, array<string, int>, array<string, float>): array<array-key, mixed> $compute
     */
    public function __construct(public string $name, public array $parameters, public array $outputs, private \Closure $compute)
    {
    }

    /**
     * @param array<string, int|float> $values by the name of the parameter; the default for those left out
     *
     * @return array<array-key, mixed> a list of values, or a map of such lists
     */
    public function compute(Inputs $inputs, array $values = []): array
    {
        $bars = $multiples = [];
        foreach ($this->parameters as $parameter) {
            $value = $values[$parameter->name] ?? $parameter->default;
            if (is_int($parameter->default)) {
                $bars[$parameter->name] = (int) $value;
            } else {
                $multiples[$parameter->name] = (float) $value;
            }
        }

        return ($this->compute)($inputs, $bars, $multiples);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'name' => $this->name,
            'parameters' => array_map(static fn (Parameter $parameter): array => $parameter->toArray(), $this->parameters),
            'outputs' => $this->outputs,
        ];
    }
}
