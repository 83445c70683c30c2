<?php

declare(strict_types=1);

namespace App\Actions;

use App\Data\LineFaultData;
use App\Data\RosterReportData;
use App\Enums\Role;
use App\Import\CsvFile;
use App\Import\UnreadableFile;
use App\Models\Tier;
use App\Models\User;
use App\Subscribers\Tiers;
use Illuminate\Support\Facades\Validator;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/**
 * Brings the roster in from a file with the columns name, address, tier: who is new is invited, who is there gets the tier.
 * A line that cannot be read is told and left out; the others are kept.
 */
final readonly class ImportRoster
{
    private const COLUMNS = ['name', 'address', 'tier'];

    public function __construct(private InviteReader $invite, private Tiers $tiers)
    {
    }

    public function __invoke(string $path): RosterReportData
    {
        try {
            $file = new CsvFile($path);
            $delimiter = substr_count(implode('', $file->head("\n", 1)[0]), ';') > 0 ? ';' : ',';
            $head = array_map(static fn (string $name): string => Str::lower($name), $file->head($delimiter, 1)[0]);
        } catch (UnreadableFile $fault) {
            throw ValidationException::withMessages(['roster' => $fault->getMessage()]);
        }
        $missing = array_diff(self::COLUMNS, $head);
        if ($missing !== []) {
            throw ValidationException::withMessages(['roster' => 'The file lacks the '.(count($missing) === 1 ? 'column ' : 'columns ').implode(', ', $missing).'. Its first line names the columns: name, address, tier. Nothing was kept.']);
        }
        $invited = $changed = $same = 0;
        $faults = [];
        foreach ($file->lines($delimiter) as $number => $fields) {
            if ($number === 1) {
                continue;
            }
            $line = array_combine($head, array_pad(array_slice($fields, 0, count($head)), count($head), ''));
            $tier = $this->tier($line['tier']);
            $fault = $this->fault($line, $tier);
            if ($fault !== null || $tier === null) {
                [$field, $reason] = $fault ?? ['tier', ''];
                $faults[] = new LineFaultData($number, $field, $reason, implode($delimiter, $fields));
                continue;
            }
            $user = User::query()->where('email', Str::lower($line['address']))->first();
            if ($user === null) {
                ($this->invite)($line['name'], $line['address'], $tier->key);
                ++$invited;
            } elseif ($user->tier !== $tier->key) {
                $user->update(['tier' => $tier->key]);
                ++$changed;
            } else {
                ++$same;
            }
        }

        return new RosterReportData($invited, $changed, $same, $faults);
    }

    private function tier(string $told): ?Tier
    {
        return $this->tiers->all()->first(static fn (Tier $tier): bool => ! $tier->isVisitors() && in_array(Str::lower($told), [$tier->key, Str::lower($tier->name)], true));
    }

    /**
     * @param array<string, string> $line
     *
     * @return array{string, string}|null the field, and what is wrong with it
     */
    private function fault(array $line, ?Tier $tier): ?array
    {
        return match (true) {
            $line['name'] === '' => ['name', 'There is no name.'],
            Validator::make($line, ['address' => 'required|email:filter|max:200'])->fails() => ['address', "\"{$line['address']}\" is not a mail address."],
            $tier === null => ['tier', "There is no tier \"{$line['tier']}\"."],
            User::query()->where('email', Str::lower($line['address']))->where('role', '!=', Role::Subscriber)->exists() => ['address', "{$line['address']} works on the plans and has no tier."],
            default => null,
        };
    }
}
