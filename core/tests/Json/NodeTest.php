<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Json;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;

final class NodeTest extends TestCase
{
    /** @param callable(Node): mixed $read */
    #[DataProvider('wrong')]
    public function testWhatIsWrongIsToldWithItsPath(string $json, callable $read, string $path): void
    {
        try {
            $read(Node::parse($json));
            self::fail('it was read');
        } catch (InvalidInput $fault) {
            self::assertSame($path, $fault->path);
            self::assertNotSame('', $fault->getMessage());
        }
    }

    /** @return iterable<string, array{string, callable(Node): mixed, string}> */
    public static function wrong(): iterable
    {
        $a = static fn (string $method, mixed ...$with): callable => static fn (Node $node): mixed => $node->key('a')->{$method}(...$with);
        yield 'a list where an object is due' => ['[]', static fn (Node $n): mixed => $n->object([]), ''];
        yield 'an object where a list is due' => ['{"a": {}}', $a('list'), 'a'];
        yield 'a missing key' => ['{"b": 1}', static fn (Node $n): mixed => $n->object(['a'], ['b']), 'a'];
        yield 'an unknown key, before a missing one' => ['{"c": 1}', static fn (Node $n): mixed => $n->object(['a']), 'c'];
        yield 'an empty text' => ['{"a": ""}', $a('text'), 'a'];
        yield 'a number where a text is due' => ['{"a": 1}', $a('text'), 'a'];
        yield 'a fraction where a count is due' => ['{"a": 1.0}', $a('int'), 'a'];
        yield 'a count beyond its bound' => ['{"a": 7}', $a('int', 0, 6), 'a'];
        yield 'a number where a decimal is due' => ['{"a": 1}', $a('decimal'), 'a'];
        yield 'a decimal without digits before its point' => ['{"a": ".5"}', $a('decimal'), 'a'];
        yield 'a decimal with an exponent' => ['{"a": "1e3"}', $a('decimal'), 'a'];
        yield 'a decimal with a line break' => ['{"a": "1\n"}', $a('decimal'), 'a'];
        yield 'a date that does not exist' => ['{"a": "2026-02-29"}', $a('date'), 'a'];
        yield 'a time with a fraction' => ['{"a": "2026-10-14T18:00:00.5Z"}', $a('time'), 'a'];
        yield 'a time at 24 hours' => ['{"a": "2026-10-14T24:00:00Z"}', $a('time'), 'a'];
        yield 'a text where a truth is due' => ['{"a": "true"}', $a('bool'), 'a'];
        yield 'a value that is no choice' => ['{"a": "x"}', $a('choice', ['y', 'z']), 'a'];
        yield 'deep inside' => ['{"a": [{"b": "x"}]}', static fn (Node $n): mixed => $n->key('a')->list()[0]->key('b')->int(), 'a.0.b'];
    }

    public function testWhatIsRightIsReadInItsType(): void
    {
        $keys = Node::parse('{"d": "-1.50", "t": "2026-10-14T18:00:00Z", "n": 3, "b": false, "e": [], "o": {}}')->object(['d', 't', 'n', 'b', 'e', 'o']);

        self::assertSame(['-1.50', 1_792_000_800, 3, false], [(string) $keys['d']->decimal(), $keys['t']->time(), $keys['n']->int(), $keys['b']->bool()]);
        self::assertTrue($keys['e']->isEmpty() && $keys['o']->isEmpty() && ! $keys['n']->isEmpty());
    }
}
