<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\DefineTier;
use App\Actions\ImportRoster;
use App\Actions\InviteReader;
use App\Actions\RemoveReader;
use App\Actions\RemoveTier;
use App\Enums\DeliveryState;
use App\Enums\Role;
use App\Enums\Sees;
use App\Http\Requests\TierRequest;
use App\Import\Exporter;
use App\Jobs\Deliver;
use App\Models\Delivery;
use App\Models\Tier;
use App\Models\User;
use App\Subscribers\SubscribersPresenter;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\Rule;
use Inertia\Inertia;
use Inertia\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Who reads: tiers, the roster, and what has reached them. */
final class SubscriberController extends Controller
{
    public function index(SubscribersPresenter $presenter): Response
    {
        return Inertia::render('Subscribers', [
            'levels' => fn () => $presenter->tiers(),
            'roster' => fn () => $presenter->roster(),
            'deliveries' => fn () => $presenter->deliveries(),
            'report' => static fn () => session('roster'),
        ]);
    }

    public function addTier(TierRequest $request, DefineTier $define): RedirectResponse
    {
        $define(null, $request->string('name')->value(), $request->enum('sees', Sees::class) ?? Sees::Full, $request->hours(), $request->string('after')->value());

        return back();
    }

    public function changeTier(TierRequest $request, Tier $tier, DefineTier $define): RedirectResponse
    {
        $define($tier, $request->string('name')->value(), $request->enum('sees', Sees::class) ?? $tier->sees, $request->hours());

        return back();
    }

    public function removeTier(Tier $tier, RemoveTier $remove): RedirectResponse
    {
        $remove($tier);

        return back();
    }

    public function invite(Request $request, InviteReader $invite): RedirectResponse
    {
        $request->validate([
            'name' => ['required', 'string', 'max:80'],
            'address' => ['required', 'email:filter', 'max:200', Rule::unique('users', 'email')->where(static fn ($users) => $users->whereNotNull('joined_at'))],
            'tier' => ['required', Rule::exists('tiers', 'key')->whereNot('key', Tier::VISITORS)],
        ], ['name.required' => 'Write their name.', 'address.*' => 'Write a mail address that is not on the roster yet.', 'tier.*' => 'Choose a tier.']);
        $user = $invite($request->string('name')->value(), $request->string('address')->value(), $request->string('tier')->value());

        return back()->with('notice', "An invitation is on its way to {$user->email}.");
    }

    public function change(Request $request, User $user): RedirectResponse
    {
        abort_unless($user->role === Role::Subscriber, 404);
        $request->validate(['tier' => ['required', Rule::exists('tiers', 'key')->whereNot('key', Tier::VISITORS)]]);
        $user->update(['tier' => $request->string('tier')->value()]);

        return back();
    }

    public function remove(User $user, RemoveReader $remove): RedirectResponse
    {
        abort_unless($user->role === Role::Subscriber, 404);
        $remove($user);

        return back()->with('notice', "{$user->name} is off the roster.");
    }

    public function import(Request $request, ImportRoster $import): RedirectResponse
    {
        $request->validate(['roster' => ['required', 'file', 'max:2048']], ['roster.*' => 'Choose a CSV file of at most 2 MB.']);
        $file = $request->file('roster');
        abort_unless($file instanceof UploadedFile, 422);

        return back()->with('roster', $import($file->getPathname()));
    }

    public function export(): StreamedResponse
    {
        return response()->streamDownload(static function (): void {
            $out = fopen('php://output', 'w');
            if ($out !== false) {
                Exporter::write((static function (): \Generator {
                    yield ['name', 'address', 'tier', 'joined'];
                    foreach (User::query()->where('role', Role::Subscriber)->orderBy('name')->lazy() as $user) {
                        yield [$user->name, $user->email, $user->tier ?? '', $user->joined_at?->toDateString() ?? ''];
                    }
                })(), $out);
            }
        }, 'roster.csv', ['Content-Type' => 'text/csv; charset=UTF-8']);
    }

    /** A delivery that failed is tried anew. */
    public function retry(Delivery $delivery): RedirectResponse
    {
        $begun = Delivery::query()->whereKey($delivery->id)->where('state', DeliveryState::Failed)->update(['state' => DeliveryState::Queued, 'attempts' => 0]);
        if ($begun === 1) {
            Deliver::dispatch($delivery->id);
        }

        return back();
    }
}
