<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Support\ImmediateSqliteConnection;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

final class DatabaseTest extends TestCase
{
    private string $path;

    protected function setUp(): void
    {
        parent::setUp();
        $this->path = (string) tempnam(sys_get_temp_dir(), 'watchpost-db-');
        foreach (['one', 'other'] as $name) {
            config(["database.connections.{$name}" => ['driver' => 'sqlite', 'database' => $this->path, 'prefix' => '', 'journal_mode' => 'wal', 'busy_timeout' => 20]]);
        }
    }

    protected function tearDown(): void
    {
        DB::purge('one');
        DB::purge('other');
        array_map(unlink(...), glob("{$this->path}*") ?: []);
        parent::tearDown();
    }

    public function testATransactionThatBeganByReadingCanStillWriteAfterSomeoneElseTried(): void
    {
        $one = DB::connection('one');
        $other = DB::connection('other');
        self::assertInstanceOf(ImmediateSqliteConnection::class, $one);
        $one->statement('create table tides (id integer primary key autoincrement, height integer)');
        $one->transaction(function () use ($one, $other): void {
            self::assertSame(0, $one->table('tides')->count());
            try {
                $other->transaction(static fn () => $other->table('tides')->insert(['height' => 2]));
                self::fail('the other one wrote in the middle of a transaction');
            } catch (QueryException|\PDOException $fault) {
                self::assertStringContainsString('locked', $fault->getMessage());
            }
            $one->table('tides')->insert(['height' => 1]);
        });
        $other->transaction(static fn () => $other->table('tides')->insert(['height' => 3]));

        self::assertSame([1, 3], $one->table('tides')->orderBy('id')->pluck('height')->all());
    }

    public function testAnEmptyDatabaseTakesTransactionsToo(): void
    {
        DB::connection('one')->transaction(static fn () => DB::connection('one')->statement('create table tides (id integer primary key)'));
        self::assertSame(0, DB::connection('other')->table('tides')->count());
    }
}
