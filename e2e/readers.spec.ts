import { expect, test } from '@playwright/test';
import { signIn, signOut } from './people';

/** What readers do beside reading: look what changed, search, ask, settle what is sent to them, and come back in. */
test.describe.configure({ mode: 'serial' });

test('a reader sees what changed, searches the archive and asks for a symbol; the author answers', async ({ page }) => {
    await signIn(page, 'jonas');
    const changed = page.getByRole('region', { name: 'What changed' });
    await expect(changed.getByRole('listitem').first()).toContainText('●');
    await changed.getByRole('button', { name: 'Seen' }).click();
    await expect(page.getByText(/^Nothing changed since/)).toBeVisible();
    await expect(page.getByRole('region', { name: 'Your list' }).getByRole('listitem').first()).toBeVisible();

    await page.getByRole('heading', { level: 1 }).click();
    await page.keyboard.press('s');
    await page.keyboard.type('weekly');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('link', { name: /Monday 12 to Friday 16 October 2026/ })).toBeVisible();
    await expect(page.locator('.list .one')).toHaveCount(1);

    await page.getByLabel('Symbol', { exact: true }).fill('none');
    await page.getByRole('button', { name: 'Ask' }).click();
    await expect(page.getByRole('alert')).toContainText('"NONE" is no symbol known here.');
    await page.getByLabel('Symbol', { exact: true }).fill('thim');
    await page.getByLabel('Why').fill('The gap.');
    await page.getByRole('button', { name: 'Ask' }).click();
    await expect(page.getByRole('region', { name: 'Ask for a symbol' })).toContainText('THIM.Q waits');
    await signOut(page);

    await signIn(page, 'maren');
    await page.goto('/plan/candidates');
    await page.getByRole('heading', { level: 1 }).click();
    await page.keyboard.press('r');
    const asked = page.getByRole('dialog', { name: 'Asked for' });
    const request = asked.getByRole('listitem').filter({ hasText: 'THIM.Q' });
    await expect(request).toContainText('Jonas Wick, Harbour');
    await expect(request).toContainText('Edda Marl, Harbour');
    await request.getByRole('button', { name: 'Decline…' }).click();
    await request.getByRole('button', { name: 'Decline', exact: true }).click();
    await expect(request.getByRole('alert')).toContainText('Say why THIM.Q is declined');
    await request.getByLabel('Why it is declined').fill('Too thin to plan.');
    await page.keyboard.press('Enter');
    await expect(request).toBeHidden();
    await page.goto('/mailbox?to=jonas@watchpost.test');
    await expect(page.getByRole('button', { name: /^THIM\.Q: not this time/ })).toBeVisible();
});

test('a forgotten password is replaced by way of the mailbox, and mails are switched off', async ({ page }) => {
    await page.goto('/sign-in');
    await page.getByRole('link', { name: 'Password forgotten?' }).click();
    await expect(page.getByRole('heading', { name: 'Password forgotten' })).toBeVisible();
    await page.getByLabel('Address').fill('edda@watchpost.test');
    await page.getByRole('button', { name: 'Send me the mail' }).click();
    await expect(page.getByRole('status')).toContainText('If there is an account with this address');
    await expect(async () => {
        await page.goto('/mailbox?to=edda@watchpost.test');
        await expect(page.getByRole('button', { name: /^A new password for Watchpost/ })).toBeVisible({ timeout: 1_000 });
    }).toPass();
    const way = await page.frameLocator('iframe').getByRole('link', { name: 'Set a new password' }).getAttribute('href');
    await page.goto(new URL(way ?? '').pathname + new URL(way ?? '').search);
    await page.getByLabel('Password, at least eight characters').fill('a light on the quay');
    await page.getByLabel('Once more').fill('a light on the quay');
    await page.getByRole('button', { name: 'Set the password' }).click();
    await expect(page).toHaveURL(/editions/);

    await page.goto('/settings');
    await expect(page.getByRole('region', { name: 'Where you are signed in' })).toContainText('here');
    await page.getByLabel('Editions by mail').click();
    await page.getByRole('region', { name: 'What is sent to you' }).getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByText('Kept.')).toBeVisible();
    await page.reload();
    await expect(page.getByLabel('Editions by mail')).not.toBeChecked();
});

test('the author names a tier, invites someone, and they come in', async ({ page }) => {
    await signIn(page, 'maren');
    await page.goto('/subscribers');
    await page.getByRole('heading', { level: 1 }).click();
    await page.keyboard.press('t');
    const tier = page.getByRole('dialog', { name: 'A new tier' });
    await tier.getByLabel('Name').fill('Lookout');
    await tier.getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByRole('region', { name: 'Tiers' })).toContainText('Lookout');
    await page.keyboard.press('i');
    const invitation = page.getByRole('dialog', { name: 'Invite someone' });
    await invitation.getByLabel('Name').fill('Anna Birk');
    await invitation.getByLabel('Mail address').fill('anna@watchpost.test');
    await invitation.getByRole('button', { name: 'Send the invitation' }).click();
    await expect(page.getByRole('row').filter({ hasText: 'Anna Birk' })).toContainText('invited');
    await signOut(page);
    await expect(async () => {
        await page.goto('/mailbox?to=anna@watchpost.test');
        await expect(page.getByRole('button', { name: /^Your invitation/ })).toBeVisible({ timeout: 1_000 });
    }).toPass();
    const way = await page.frameLocator('iframe').getByRole('link', { name: 'Set your password' }).getAttribute('href');
    await page.goto(new URL(way ?? '').pathname + new URL(way ?? '').search);
    await page.getByLabel('Password, at least eight characters').fill('a light on the quay');
    await page.getByLabel('Once more').fill('a light on the quay');
    await page.getByRole('button', { name: 'Set the password' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Editions' })).toBeVisible();
});
