<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepSetting;
use App\Models\User;
use App\Reading\Account;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The account of the person who reads, kept for them alone. */
final class AccountController extends Controller
{
    public function __invoke(Request $request, KeepSetting $keep): RedirectResponse
    {
        $request->validate([
            'value' => ['required', 'integer', 'between:100,1000000000000'],
            'riskPercent' => ['required', 'numeric', 'between:0.01,20'],
        ], ['value.*' => 'Write how much the account holds, 100 at least.', 'riskPercent.*' => 'Write a share from 0.01 to 20 %.']);
        $user = $request->user();
        if ($user instanceof User) {
            $keep($user, Account::NAME, ['value' => $request->integer('value'), 'riskPercent' => $request->float('riskPercent')]);
        }

        return back();
    }
}
