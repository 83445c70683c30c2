import { expect, test, type Locator, type Page } from '@playwright/test';
import { signIn } from './people';

/** An author reads and marks one candidate: the cross-check, levels of all forms, their life, the view that is kept. */
test.describe.configure({ mode: 'serial' });

let page: Page;

test.beforeAll(async ({ browser }) => {
    page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await signIn(page, 'maren');
    await page.goto('/plan/mark');
    await page.getByRole('link', { name: /\d GORSE\.Q/ }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('GORSE.Q');
});
test.afterAll(() => page.close());

const ladder = (): Locator => page.getByRole('treegrid', { name: /^Ladder/ });
const rungs = (text: string | RegExp): Locator => ladder().locator('.row').filter({ hasText: text });
const desk = (): Locator => page.locator('.plan-desk');
const main = (): Locator => page.locator('figure.chart:not(.beside)');

/** The place of a price on the main chart, as far right as asked. */
async function at(part: number, down: number): Promise<{ x: number; y: number }> {
    const box = await main().getByRole('img').boundingBox();
    if (box === null) throw new Error('there is no chart');
    return { x: box.x + box.width * part, y: box.y + down };
}

async function rest(): Promise<void> {
    await page.getByText('Draft kept').click();
}

test('a found level tells why it is there, shows its touches and is taken over with one key', async () => {
    await page.keyboard.press('l');
    const found = ladder().locator('.row.found:not(.group)').filter({ hasText: 'held' }).first();
    await found.click();
    await page.keyboard.press('Enter');
    await expect(desk().getByRole('region', { name: 'Found by the cross-check' })).toContainText('visits, held');
    await expect(main().locator('.event').first()).toBeAttached();
    const before = await ladder().locator('.row.level').count();
    await found.focus();
    await page.keyboard.press('a');
    await expect(ladder().locator('.row.level')).toHaveCount(before + 1);
    await expect(ladder().locator('.row.chosen .agrees')).toBeVisible();
    await page.keyboard.press('Control+z');
    await expect(ladder().locator('.row.level')).toHaveCount(before);
});

test('a level becomes a zone, gets a note, is laid aside and taken back, and its history tells it', async () => {
    const level = rungs('60-session low');
    await level.focus();
    await page.keyboard.press('Enter');
    const sheet = desk().getByRole('region', { name: 'Level', exact: true });
    await expect(sheet).toContainText('How it did');
    const low = await sheet.getByLabel('Price', { exact: true }).inputValue();
    const high = (Number(low) + 0.2).toFixed(2);
    await sheet.getByLabel('to', { exact: true }).fill(high);
    await page.keyboard.press('Enter');
    await expect(sheet.getByLabel('From', { exact: true })).toHaveValue(low);
    await sheet.getByLabel('Note').fill('the shelf of spring');
    await page.keyboard.press('Enter');
    await expect(main().locator('rect.band.level')).not.toHaveCount(0);

    await sheet.getByRole('button', { name: 'Lay aside' }).click();
    await expect(rungs('60-session low')).toHaveCount(0);
    await desk().getByText('1 laid aside').click();
    await expect(desk()).toContainText('laid aside by the author');
    await desk()
        .getByRole('button', { name: /^Restore/ })
        .click();
    await rungs('60-session low').focus();
    await sheet.getByText(/History/).click();
    await expect(sheet).toContainText(`moved from ${low} to ${low} to ${high}`);
    await expect(sheet).toContainText('note: the shelf of spring');
    await expect(sheet).toContainText('restored');
});

test('a click snaps to the bar near it and keeps the wording and the date', async () => {
    await rest();
    const last = await at(0.3, 60);
    await page.mouse.move(last.x, last.y);
    // the highest point of the bars under the pointer
    const reading = await page.locator('#bar-reading').innerText();
    const high = /H ([\d.]+)/.exec(reading)?.[1] ?? '';
    const [top, foot] = await main()
        .locator('.axis text')
        .evaluateAll((texts) =>
            [texts[0], texts[texts.length - 1]].map((text) => [Number(text?.textContent), Number(text?.getAttribute('y'))]),
        );
    const [p1 = 0, y1 = 0] = top ?? [];
    const [p2 = 0, y2 = 0] = foot ?? [];
    const place = await at(0.3, y1 - 4 + ((Number(high) - p1) / (p2 - p1)) * (y2 - y1));
    await page.mouse.click(last.x, place.y + 2);
    await expect(ladder().locator('.row.chosen')).toContainText(/(high|low|close) of 2026-/);
    await page.keyboard.press('Control+z');
});

test('a line is picked by two points and read ahead; ratios are typed', async () => {
    await rest();
    await page.keyboard.press('/');
    await expect(page.getByRole('status').filter({ hasText: 'pick the first point' })).toBeVisible();
    const one = await at(0.15, 260);
    const other = await at(0.5, 180);
    await page.mouse.click(one.x, one.y);
    await expect(page.getByRole('status').filter({ hasText: 'pick the second point' })).toBeVisible();
    await page.mouse.click(other.x, other.y);
    const chosen = ladder().locator('.row.chosen');
    await expect(chosen).toContainText('trend line');
    await expect(main().locator('path.curve.chosen')).toBeAttached();
    await chosen.focus();
    await page.keyboard.press('Enter');
    await expect(desk().locator('.ahead')).toContainText(/next session [\d.]+, in 2 sessions/);
    await desk().getByRole('button', { name: 'Delete' }).click();
    await expect(rungs('trend line')).toHaveCount(0);

    await rest();
    await page.keyboard.press('Shift+M');
    const dialog = page.getByRole('dialog', { name: 'New level' });
    await dialog.getByRole('button', { name: 'Average' }).click();
    await dialog.getByRole('spinbutton').fill('500');
    await dialog.getByRole('button', { name: 'Mark' }).click();
    // 400 is the most: the field corrects itself
    await expect(rungs('SMA 400')).toHaveCount(1);
    await page.keyboard.press('Control+z');
    await expect(rungs('SMA 400')).toHaveCount(0);
});

test('a price off by a factor of ten is questioned before it is kept', async () => {
    const last = (await rungs('last close').locator('.price').innerText()).trim();
    const meant = (Number(last) * 0.97).toFixed(1) + '0';
    const slip = (Number(meant) / 10).toFixed(2);
    await page.getByLabel('Level at').fill(slip);
    await page.keyboard.press('Enter');
    const question = page.getByRole('alertdialog', { name: 'Is this the price you mean?' });
    await expect(question).toContainText('about a tenth of the last close');
    await page.keyboard.press('Escape');
    await expect(question).toBeHidden();
    await page.getByLabel('Level at').press('Enter');
    await question.getByRole('button', { name: /^Use/ }).click();
    await expect(rungs(meant)).toHaveCount(1);
    await page.keyboard.press('Control+z');
});

test('layers are shown and hidden by key, and the cross-check is asked for an earlier evening', async () => {
    await rest();
    const pivots = page.getByRole('button', { name: /^Pivots/ });
    await expect(pivots).toHaveAttribute('aria-pressed', 'false');
    await page.keyboard.press('Shift+I');
    await expect(pivots).toHaveAttribute('aria-pressed', 'true');
    await page.keyboard.press('Shift+I');
    await page.keyboard.press('Shift+C');
    await expect(ladder().locator('.row.found')).toHaveCount(0);
    await page.keyboard.press('Shift+C');
    await expect(ladder().locator('.row.found').first()).toBeVisible();

    const field = page.getByRole('combobox', { name: 'Cross-check as of an earlier evening' });
    await field.fill('1 Sep 2026');
    await field.press('Enter');
    await rest();
    await expect(main().locator('.evening')).toContainText('found as of here');
    await field.fill('');
    await field.press('Enter');
    await rest();
    await expect(main().locator('.evening')).toHaveCount(0);
});

test('it is measured between two rows and between two points', async () => {
    await rungs('60-session high').focus();
    await page.keyboard.press('v');
    await rungs('15-session low').focus();
    await expect(page.getByRole('status').filter({ hasText: ' to ' })).toContainText(/−[\d.]+ %, −[\d.]+ ATR/);
    await page.keyboard.press('Escape');
    await rest();
    const from = await at(0.2, 100);
    const to = await at(0.5, 200);
    await page.mouse.move(from.x, from.y);
    await page.keyboard.down('Shift');
    await page.mouse.down();
    await page.mouse.move(to.x, to.y, { steps: 5 });
    await page.mouse.up();
    await page.keyboard.up('Shift');
    await expect(main().locator('.measure')).toContainText(/bars/);
    await page.keyboard.press('Escape');
    await expect(main().locator('.measure')).toHaveCount(0);
});

test('the candidate opens as it was left, and what was read in it is kept', async () => {
    await rest();
    await page.keyboard.press('w');
    await expect(page.getByRole('button', { name: 'Week', exact: true, pressed: true })).toBeVisible();
    await page.keyboard.press('Shift+L');
    await expect(page.getByRole('button', { name: 'Log' })).toHaveAttribute('aria-pressed', 'true');
    const kept = page.waitForResponse((response) => response.url().endsWith('/view'));
    await page.keyboard.press('r');
    await page.getByRole('combobox', { name: 'Shape' }).fill('double bottom');
    await page.keyboard.press('Enter');
    await page.getByLabel('What speaks against it').fill('volume is thin');
    await page.getByLabel('What speaks for it').focus();
    await page.getByRole('group', { name: 'How clean it is' }).getByRole('button', { name: '5', exact: true }).click();
    await kept;
    await rest();
    await page.keyboard.press('j');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('HEATH.Q');
    await expect(page.getByRole('button', { name: 'Day', exact: true, pressed: true })).toBeVisible();
    await page.keyboard.press('k');
    await expect(page.getByRole('heading', { level: 1 })).toContainText('GORSE.Q');
    await expect(page.getByRole('button', { name: 'Week', exact: true, pressed: true })).toBeVisible();
    await expect(page.getByRole('button', { name: 'Log' })).toHaveAttribute('aria-pressed', 'true');
    await page.getByRole('button', { name: 'Reading' }).click();
    await expect(page.getByRole('combobox', { name: 'Shape' })).toHaveValue('double bottom');
    await expect(page.getByLabel('What speaks against it')).toHaveValue('volume is thin');
    await rest();
    await page.keyboard.press('d');
    await page.keyboard.press('Shift+L');
});

test('the strip shows all time frames, and limits are one’s own', async () => {
    await rest();
    await page.keyboard.press('Shift+S');
    const strip = page.getByRole('group', { name: 'All time frames' });
    await expect(strip.getByRole('button')).toHaveCount(8);
    await strip.getByRole('button', { name: 'Chart by month' }).click();
    await expect(page.getByRole('button', { name: 'Month', exact: true, pressed: true })).toBeVisible();
    await page.keyboard.press('Shift+S');
    await page.keyboard.press('d');

    await page.getByRole('button', { name: 'Your limits' }).click();
    const dialog = page.getByRole('dialog', { name: 'Your limits' });
    await dialog.getByLabel('Turnover below').fill('900000000000');
    await dialog.getByLabel('Turnover below').press('Tab');
    await dialog.getByRole('button', { name: 'Keep' }).click();
    await expect(dialog).toBeHidden();
    await expect(desk().locator('.look').filter({ hasText: 'Turnover' })).toBeVisible();
});

test('how the levels did is counted on a page of its own', async () => {
    await page.getByRole('button', { name: /: menu$/ }).click();
    await page.getByRole('menuitem', { name: 'How your levels did' }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('How your levels did');
    await expect(page.getByRole('region', { name: 'By grade' }).or(page.getByRole('group', { name: 'By grade' }))).toContainText(
        'major',
    );
    await page.keyboard.press('/');
    await page.keyboard.type('OAKL');
    await expect(page.getByRole('row').filter({ hasText: 'OAKL.Q' }).first()).toBeVisible();
    await expect(page.getByRole('row').filter({ hasText: 'GORSE.Q' })).toHaveCount(0);
});
