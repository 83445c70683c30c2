<?php

declare(strict_types=1);

namespace App\Subscribers;

use App\Data\SignedInData;
use App\Models\User;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Where a person is signed in. */
final class SignedIn
{
    private const BROWSERS = ['Edg/' => 'Edge', 'Firefox/' => 'Firefox', 'Chrome/' => 'Chrome', 'Safari/' => 'Safari'];
    private const SYSTEMS = ['Android' => 'Android', 'iPhone' => 'a phone', 'iPad' => 'a tablet', 'Windows' => 'Windows', 'Mac OS' => 'a Mac', 'Linux' => 'Linux'];

    /** @return list<SignedInData> the latest first */
    public function of(User $user, string $here): array
    {
        $rows = DB::table('sessions')->where('user_id', $user->id)->orderByDesc('last_activity')->get(['id', 'ip_address', 'user_agent', 'last_activity']);

        return array_values($rows->map(static fn (\stdClass $row): SignedInData => new SignedInData(
            self::words(is_string($row->user_agent) ? $row->user_agent : ''),
            is_string($row->ip_address) ? $row->ip_address : '',
            Carbon::createFromTimestampUTC(is_numeric($row->last_activity) ? (int) $row->last_activity : 0)->format('j M Y, H:i').' UTC',
            $row->id === $here,
        ))->all());
    }

    public function endOthers(User $user, string $here): void
    {
        DB::table('sessions')->where('user_id', $user->id)->where('id', '!=', $here)->delete();
        // those that are remembered come back by this token
        $user->forceFill(['remember_token' => Str::random(60)])->save();
    }

    private static function words(string $agent): string
    {
        $find = static fn (array $names): ?string => array_values(array_filter($names, static fn (string $sign): bool => str_contains($agent, $sign), ARRAY_FILTER_USE_KEY))[0] ?? null;
        $browser = $find(self::BROWSERS) ?? 'a browser';
        $system = $find(self::SYSTEMS);

        return ucfirst($browser).($system === null ? '' : " on {$system}");
    }
}
