import { expect, type Page } from '@playwright/test';

export async function signIn(page: Page, name: 'maren' | 'tobias' | 'ines' | 'jonas'): Promise<void> {
    await page.goto('/sign-in');
    await page.getByLabel('Address').fill(`${name}@watchpost.test`);
    await page.getByLabel('Password').fill('lantern');
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page).not.toHaveURL(/sign-in/);
}

export async function signOut(page: Page): Promise<void> {
    await page.getByRole('button', { name: /: menu$/ }).click();
    await page.getByRole('menuitem', { name: 'Sign out' }).click();
    await expect(page).toHaveURL(/sign-in/);
}
