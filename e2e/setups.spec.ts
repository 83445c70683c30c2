import { expect, test, type Locator, type Page } from '@playwright/test';
import { signIn } from './people';

/** After the evening: the plan of the next session, twenty candidates, a setup each by keyboard; then one in full. */
test.describe.configure({ mode: 'serial' });

const MOST_KEYS = 10;
const SYMBOLS = 'ANCH BUOY COGS DORY EDDY HONY JETY LOOM MOOR PEBL SALT SLAT STLR TDHM THIM WEIR WIDE WNCH WOOL QFD'.split(' ');

let page: Page;
let keys = 0;

test.beforeAll(async ({ browser }) => {
    page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await signIn(page, 'maren');
});
test.afterAll(() => page.close());

const ladder = (): Locator => page.getByRole('treegrid', { name: /^Ladder/ });
const rungs = (text: string | RegExp): Locator => ladder().locator('.row').filter({ hasText: text });
const editor = (): Locator => page.getByRole('region', { name: 'Setup', exact: true });

async function press(key: string): Promise<void> {
    keys += 1;
    await page.keyboard.press(key);
}

test('twenty candidates get a setup each, in at most ten keystrokes', async () => {
    await page.goto('/plan/candidates');
    await page.getByRole('heading', { level: 1 }).click();
    for (const symbol of SYMBOLS) {
        await page.keyboard.press('a');
        await page.keyboard.type(`${symbol}.Q`);
        await expect(page.getByRole('option', { name: new RegExp(`${symbol}\\.Q`) }).first()).toBeVisible();
        await page.keyboard.press('Enter');
        await expect(page.getByRole('row').filter({ hasText: `${symbol}.Q` })).toBeVisible();
        await page.getByRole('heading', { level: 1 }).click();
    }
    await page.goto('/plan/mark');
    await page.getByRole('link', { name: /\d ANCH\.Q/ }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('ANCH.Q');
    for (let i = 0; i < SYMBOLS.length; ++i) {
        // what an author marks: where it would be bought back, where the idea is wrong, where it would go
        const last = Number(await rungs('last close').locator('.price').innerText());
        const decimals = ((await rungs('last close').locator('.price').innerText()).split('.')[1] ?? '').length;
        for (const part of [0.97, 0.93, 1.09]) {
            await page.keyboard.press('m');
            await page.keyboard.type((last * part).toFixed(decimals));
            await page.keyboard.press('Enter');
            await page.getByText('Draft kept').click();
        }
        await expect(ladder().locator('.row.level')).toHaveCount(3);

        keys = 0;
        await press('C');
        await press('l');
        await press('Home');
        await press('t');
        await expect(rungs('target 1')).toHaveCount(1);
        await press('PageDown');
        await press('e');
        await expect(rungs('long entry, touch')).toHaveCount(1);
        await press('PageDown');
        await press('s');
        await expect(page.locator('.sentence')).toContainText(/^Long when price falls to .*; stop .*; all off at /);
        expect(keys).toBeLessThanOrEqual(MOST_KEYS);
        if (i < SYMBOLS.length - 1) {
            await page.keyboard.press('j');
            await expect(page.getByRole('heading', { level: 1 })).toContainText(`${SYMBOLS[i + 1]}.Q`);
        }
    }
    await page.goto('/plan/candidates');
    for (const symbol of SYMBOLS) {
        await expect(page.getByRole('row').filter({ hasText: `${symbol}.Q` })).toContainText('Long touch ');
    }
});

test('the kind of entry and the place of the stop go round by key', async () => {
    await page.goto('/plan/mark');
    await page.getByRole('link', { name: /\d JETY\.Q/ }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('JETY.Q');
    const before = await page.locator('.sentence').innerText();
    await page.keyboard.press('K');
    await expect(page.locator('.sentence')).toContainText('closes back above it');
    await page.keyboard.press('B');
    await expect(editor().getByRole('group', { name: 'Places for the stop' }).locator('[aria-pressed="true"]')).toBeVisible();
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+z');
    await expect(page.locator('.sentence')).toHaveText(before);
});

test('an entry is staged, a condition and a move are added, read, edited in place and taken away', async () => {
    await editor().getByRole('button', { name: 'Stage' }).click();
    const second = editor().getByRole('group', { name: 'Part 2 of the entry' });
    await second.getByLabel('Trigger of part 2').click();
    await page.getByRole('option', { name: /^close above/ }).click();
    const first = await editor().getByLabel('Entry 1').inputValue();
    await second.getByLabel('Entry 2').fill((Number(first) * 1.02).toFixed(2));
    await page.keyboard.press('Enter');
    await second.getByLabel('When part 2 may act').click();
    await page.getByRole('option', { name: 'once starter is in' }).click();
    await expect(page.locator('.sentence')).toContainText('half (“add”) on a daily close above');
    await expect(page.locator('.sentence')).toContainText('once “starter” is in');
    await expect(rungs('“add”')).toHaveCount(1);

    await editor().getByLabel('Add to the setup').click();
    await page.getByRole('option', { name: 'above an average' }).click();
    const line = editor().getByRole('button', { name: 'Only after a close above the 20-session average', exact: true });
    await expect(line).toHaveAttribute('aria-expanded', 'true');
    await editor().getByLabel('of sessions', { exact: true }).fill('50');
    await page.keyboard.press('Enter');
    await expect(page.locator('.sentence')).toContainText('only after a close above the 50-session average');

    await editor().getByLabel('Add to the setup').click();
    await page.getByRole('option', { name: 'to the entry' }).click();
    await expect(page.locator('.sentence')).toContainText('after target 1 the stop goes to the entry');
    await editor()
        .getByRole('button', { name: /^Remove: After target 1/ })
        .click();
    await expect(page.locator('.sentence')).not.toContainText('the stop goes');

    // what a touch cannot know in time is refused in words, and nothing is lost
    await editor().getByLabel('Add to the setup').click();
    await page.getByRole('option', { name: 'a close near its extreme' }).click();
    await expect(editor().getByRole('alert').first()).toContainText('cannot know it in time');
    await expect(page.locator('.sentence')).toContainText('only after a close above the 50-session average');
});

test('a stop by close, a way out by time, and the figures beside', async () => {
    await editor().getByLabel('How the stop is met').click();
    await page.getByRole('option', { name: 'daily close', exact: true }).click();
    await expect(page.locator('.sentence')).toContainText('stop on a daily close below');
    await editor().getByLabel('Add to the setup').click();
    await page.getByRole('option', { name: 'after so many sessions' }).click();
    await expect(page.locator('.sentence')).toContainText('out at the close of the 10th session held');
    const figures = editor().locator('.figures');
    await expect(figures).toContainText('All targets');
    await expect(figures).toContainText('of such trades must win');
    await expect(figures).toContainText(/Size.*units/);
});
