<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Json;

use PHPUnit\Framework\TestCase;
use Watchpost\Core\Json\CanonicalJson;

final class CanonicalJsonTest extends TestCase
{
    public function testKeysAreOrderedByTheirUtf16CodeUnits(): void
    {
        // the example of RFC 8785, 3.2.3
        $data = ["\u{20ac}" => 'Euro Sign', "\r" => 'Carriage Return', "\u{fb33}" => 'Hebrew Letter Dalet With Dagesh', '1' => 'One', "\u{1f600}" => 'Emoji: Grinning Face', "\u{80}" => 'Control', "\u{f6}" => 'Latin Small Letter O With Diaeresis'];

        self::assertSame(
            '{"\r":"Carriage Return","1":"One","'."\u{80}".'":"Control","'."\u{f6}".'":"Latin Small Letter O With Diaeresis","'."\u{20ac}".'":"Euro Sign","'."\u{1f600}".'":"Emoji: Grinning Face","'."\u{fb33}".'":"Hebrew Letter Dalet With Dagesh"}',
            CanonicalJson::encode($data),
        );
    }

    public function testTheOrderOfKeysInTheSourceDoesNotMatter(): void
    {
        self::assertSame(CanonicalJson::encode(['b' => [1, true, null], 'a' => ['y' => '/', 'x' => "\u{2028}"]]), CanonicalJson::encode(['a' => ['x' => "\u{2028}", 'y' => '/'], 'b' => [1, true, null]]));
        self::assertSame('{"a":{"x":"'."\u{2028}".'","y":"/"},"b":[1,true,null]}', CanonicalJson::encode(['b' => [1, true, null], 'a' => ['y' => '/', 'x' => "\u{2028}"]]));
    }

    public function testAFloatIsRefused(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        CanonicalJson::encode(['r' => 1.5]);
    }

    public function testTextThatIsNotUtf8IsRefused(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        CanonicalJson::encode(["\xff"]);
    }
}
