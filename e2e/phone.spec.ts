import { expect, test } from '@playwright/test';
import { signIn } from './people';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

test('a Harbour subscriber reads an edition on a phone', async ({ page }) => {
    await signIn(page, 'jonas');
    await page.getByRole('link', { name: /Wednesday 7 October 2026/ }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Wednesday 7 October 2026');
    await expect(page.getByText('Published Tue 6 Oct 2026, 19:00 Quay time (18:00 UTC)')).toBeVisible();

    const part = page.locator('section.part').filter({ hasText: 'OAKL.Q' });
    await expect(part.locator('.sentence')).toContainText('Long when price falls to');
    const chart = await part.getByRole('img', { name: /^Chart of/ }).boundingBox();
    const figures = await part.locator('.figures table').boundingBox();
    expect(chart !== null && figures !== null && chart.y + chart.height <= figures.y).toBe(true);
    await expect(part).toContainText('What happened since');
    await expect(part).toContainText('Split 3 for 1 on Monday 12 October 2026: entry');

    // one column: nothing sticks out to the side
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);

    // what is for another tier is not there
    await expect(page.getByText('2 more for Pilot readers.')).toBeVisible();
    expect(await page.content()).not.toContain('GRIT.Q');

    // what it means for their own account
    await page.getByRole('button', { name: 'Size the setups for your own account' }).click();
    await page.getByLabel('Account', { exact: true }).fill('20000');
    await page.getByRole('button', { name: 'Keep' }).click();
    await expect(page.getByText('Sized for your account of 20,000 QUD')).toBeVisible();
    await expect(page.getByRole('row', { name: /^Your size/ }).first()).toContainText(/units|none/);

    await page.goto('/record');
    await expect(page.getByRole('heading', { name: 'Record' })).toBeVisible();
    const edition = page.locator('tbody').filter({ hasText: 'Edition 31' });
    await expect(edition.locator('tr.row').filter({ hasText: 'OAKL.Q' })).toContainText(/[+−]\d\.\d\d/);
    expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
});
