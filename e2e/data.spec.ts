import { expect, test } from '@playwright/test';
import { signIn } from './people';

test('a file is looked at, refused line by line, read another way and imported', async ({ page }) => {
    await signIn(page, 'maren');
    await page.goto('/data');
    await expect(page.getByRole('region', { name: 'Exchanges' })).toContainText('Quay Exchange');
    await page.locator('#import-file').setInputFiles({
        name: 'instruments-lark.csv',
        mimeType: 'text/csv',
        buffer: Buffer.from('symbol;name;kind;decimals;currency;group\nLARK.Q;Larkspur Fund;fund;2;QUD;Funds\n'),
    });
    await expect(page.getByRole('button', { name: 'Instruments', pressed: true })).toBeVisible();
    await page.getByRole('button', { name: 'Look at it' }).click();
    await expect(page.getByRole('region', { name: 'First lines' })).toContainText('Larkspur Fund');
    await page.getByRole('button', { name: 'Check and import' }).click();
    await expect(page.getByText('done: 1 added, 0 known')).toBeVisible();

    // bars: the closes stand in another column than the names say, and one line is bad
    await page.goto('/data');
    await page.locator('#import-file').setInputFiles({
        name: 'lark.csv',
        mimeType: 'text/csv',
        buffer: Buffer.from(
            'Date;Open;High;Low;Settled\n12.10.2026;10,00;10,50;9,90;10,20\n13.10.2026;10,20;10,10;10,40;10,30\n14.10.2026;10,30;10,60;10,20;10,55\n',
        ),
    });
    await page.getByRole('button', { name: 'Look at it' }).click();
    await expect(page.getByRole('alert').first()).toContainText('Say which column holds: symbol, close');
    await expect(page.getByRole('button', { name: 'Check and import' })).toBeDisabled();
    await page.getByLabel('Symbol of all').fill('LARK.Q');
    await page.keyboard.press('Tab');
    await page.locator('.fields label').filter({ hasText: 'close' }).getByRole('combobox').click();
    await page.getByRole('option', { name: '5: Settled' }).click();
    await expect(page.getByRole('region', { name: 'First lines' })).toContainText('Line 3, high: the high is below the low');
    await page.getByRole('button', { name: 'Check and import' }).click();
    const faults = page.getByRole('region', { name: 'Lines that cannot be read' });
    await expect(faults).toContainText('One line cannot be read. Nothing was imported');
    await expect(faults.getByRole('row').nth(1)).toContainText('the high is below the low');

    // mended, it is imported; the instrument's page has it
    await page.goto('/data');
    await page.locator('#import-file').setInputFiles({
        name: 'lark.csv',
        mimeType: 'text/csv',
        buffer: Buffer.from(
            'symbol;Date;Open;High;Low;Close\nLARK.Q;12.10.2026;10,00;10,50;9,90;10,20\nLARK.Q;13.10.2026;10,20;10,40;10,10;10,30\nLARK.Q;14.10.2026;10,30;10,60;10,20;10,55\n',
        ),
    });
    await page.getByRole('button', { name: 'Look at it' }).click();
    await expect(page.getByRole('region', { name: 'First lines' })).toContainText('10.55');
    await page.keyboard.press('Control+Enter');
    await expect(page.getByText('done: 3 added, 0 known')).toBeVisible();
    await page.goto('/instruments/LARK.Q');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('LARK.Q Larkspur Fund');
    await expect(page.getByRole('region', { name: 'Bars' }).getByRole('row').nth(1)).toContainText('10.55');
    await expect(page.getByText('3 of 3 sessions have a day bar')).toBeVisible();
});

test('the page of an instrument tells its facts, its next session and its bars by time frame', async ({ page }) => {
    await signIn(page, 'maren');
    await page.goto('/data');
    await page.getByLabel('Search the instruments').fill('dredging');
    await page.getByRole('link', { name: 'SILT.Q' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('SILT.Q Silt and Sons Dredging');
    await expect(page.locator('.charts .one')).toHaveCount(7);
    await expect(page.getByRole('region', { name: 'Next session' })).toContainText('Expected between');
    await expect(page.getByRole('region', { name: 'Next session' })).toContainText('Trading halted until 12:30');
    await expect(page.getByRole('region', { name: 'Facts' })).toContainText('Shares outstanding');
    const bars = page.getByRole('region', { name: 'Bars' });
    await expect(bars).toContainText('What is missing stays missing');
    await page.getByRole('heading', { level: 1 }).click();
    await page.keyboard.press('w');
    await expect(bars.getByRole('row').nth(1)).toContainText('Mon 12 Oct 2026');
    await expect(bars.getByRole('row').nth(1)).toContainText('under way');
});
