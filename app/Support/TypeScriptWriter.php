<?php

declare(strict_types=1);

namespace App\Support;

/**
 * Turns the constructors of transfer objects into TypeScript interfaces: named types by their signature, lists by
 * their @param, enums as unions of their values.
 */
final class TypeScriptWriter
{
    /** @var array<string, string> alias by enum class */
    private array $enums = [];

    public function write(string $folder): string
    {
        $interfaces = [];
        foreach (glob($folder.'/*.php') ?: [] as $file) {
            $class = 'App\\Data\\'.basename($file, '.php');
            if (! class_exists($class)) {
                throw new \LogicException("{$file} does not hold {$class}.");
            }
            $interfaces[] = $this->interface(new \ReflectionClass($class));
        }
        ksort($this->enums);
        $enums = [];
        foreach ($this->enums as $class => $name) {
            $values = array_map(static fn (\BackedEnum $case): string => "'{$case->value}'", $class::cases());
            $enums[$name] = "export type {$name} = ".implode(' | ', $values).";\n";
        }
        ksort($enums);

        return "// Written by php artisan types:write from app/Data. Do not edit.\n\n".implode("\n", [...$enums, ...$interfaces]);
    }

    /** @param \ReflectionClass<object> $class */
    private function interface(\ReflectionClass $class): string
    {
        $lines = [];
        $constructor = $class->getConstructor() ?? throw new \LogicException("{$class->name} has no constructor.");
        foreach ($constructor->getParameters() as $parameter) {
            $lines[] = "    {$parameter->name}: {$this->type($parameter, (string) $constructor->getDocComment())};";
        }

        return "export interface {$class->getShortName()} {\n".implode("\n", $lines)."\n}\n";
    }

    private function type(\ReflectionParameter $parameter, string $doc): string
    {
        $type = $parameter->getType();
        if (! $type instanceof \ReflectionNamedType) {
            throw new \LogicException("\${$parameter->name} needs one named type.");
        }
        $name = $type->getName() === 'array' ? $this->listType($parameter, $doc) : $this->named($type->getName());

        return $type->allowsNull() ? "{$name} | null" : $name;
    }

    private function listType(\ReflectionParameter $parameter, string $doc): string
    {
        if (preg_match('/@param\s+list<([\w|]+)>\s+\$'.$parameter->name.'\b/', $doc, $m) !== 1) {
            throw new \LogicException("\${$parameter->name} needs a @param list<...>.");
        }
        $items = array_map(fn (string $item): string => $item === 'null' ? 'null' : $this->named($item), explode('|', $m[1]));

        return count($items) === 1 ? "{$items[0]}[]" : '('.implode(' | ', $items).')[]';
    }

    private function named(string $name): string
    {
        if (enum_exists($name)) {
            return $this->enums[$name] = (new \ReflectionEnum($name))->getShortName();
        }
        $short = str_contains($name, '\\') ? substr((string) strrchr($name, '\\'), 1) : $name;

        return match ($short) {
            'int', 'float' => 'number',
            'bool' => 'boolean',
            default => $short,
        };
    }
}
