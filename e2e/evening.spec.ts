import { expect, test, type Locator, type Page } from '@playwright/test';
import { signIn, signOut } from './people';

/** One evening and the days after it, in the order of the day line, in the real interface. */
test.describe.configure({ mode: 'serial' });

let page: Page;

test.beforeAll(async ({ browser }) => {
    page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
});
test.afterAll(() => page.close());

const step = (name: RegExp): Locator => page.getByRole('navigation', { name: "The evening's work" }).getByRole('link', { name });
const row = (symbol: string): Locator => page.getByRole('row').filter({ hasText: symbol });
const ladder = (): Locator => page.getByRole('treegrid', { name: /^Ladder/ });
const rungs = (text: string | RegExp): Locator => ladder().locator('.row').filter({ hasText: text });
const field = (name: string): Locator => page.getByRole('textbox', { name, exact: true });

/** The price on the rung with this label. */
async function price(rung: Locator): Promise<string> {
    return (await rung.locator('.price').innerText()).trim();
}

async function moved(text: string, ticks: number): Promise<string> {
    return (Number(text) + ticks / 100).toFixed(2);
}

test('the author signs in and sees the steps that exist', async () => {
    await signIn(page, 'maren');
    await expect(page).toHaveURL(/plan\/review/);
    await expect(page.getByRole('navigation', { name: "The evening's work" }).getByRole('link')).toHaveCount(6);
});

test('the evening opens with what came of what was published: judged, carried over, updated, all by key', async () => {
    const list = page.getByRole('region', { name: 'Published setups' });
    await expect(list.getByText('Since edition 33')).toBeVisible();
    await expect(list.getByRole('region', { name: 'Ended' }).getByRole('button').first()).toBeVisible();
    const open = list.getByRole('region', { name: 'Waiting' }).getByRole('button').first();
    const symbol = (await open.locator('strong').innerText()).trim();
    await open.click();
    const one = page.getByRole('region', { name: `${symbol} looked back on` });
    await expect(one.getByRole('img', { name: /^Chart of/ })).toBeVisible();

    await page.keyboard.press('1');
    await expect(one.getByRole('button', { name: 'Held', pressed: true })).toBeVisible();
    await page.keyboard.press('c');
    await expect(one).toContainText('In the plan for Thursday 15 October 2026: carried over.');
    await page.keyboard.press('Control+z');
    await expect(one.getByText('In the plan for')).toBeHidden();
    await page.keyboard.press('g');
    await expect(open).toContainText('let go');

    await page.keyboard.press('u');
    const dialog = page.getByRole('dialog', { name: `Update ${symbol}` });
    await dialog.getByLabel('Cancel the wait').check();
    await dialog.getByLabel('In your words, if you like').fill('It waited long enough.');
    await dialog.getByRole('button', { name: 'Publish the update' }).click();
    await expect(dialog).toBeHidden();
    await expect(one).toContainText('The wait is cancelled: It waited long enough.');

    await page.keyboard.press('ArrowUp');
    await page.keyboard.press('ArrowDown');
    await expect(one).toBeVisible();
    await step(/Market/).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('The market before Thursday 15 October 2026');
});

test('the market is read, an event weighed, the gauges chosen and the stance written', async () => {
    const gauges = page.getByRole('region', { name: 'Gauges' });
    await expect(gauges.locator('tbody tr').filter({ hasText: 'NORD.Q' })).toContainText(/stacked (up|down)|mixed/);
    await expect(page.getByRole('region', { name: 'Groups' }).getByRole('row')).toHaveCount(9);
    await expect(page.getByRole('region', { name: 'Breadth' })).toContainText('Breadth of 32 shares');
    await expect(page.getByRole('region', { name: 'Season' })).toContainText(/NORD\.Q in October/);

    const event = page.getByRole('region', { name: 'Events' }).getByRole('row').filter({ hasText: 'Budget of the coast' });
    await event.getByRole('button', { name: '3', exact: true }).click();
    await expect(event).toHaveClass(/weight-3/);
    await event.getByRole('button', { name: /^Note on/ }).click();
    await page.getByLabel('What it could mean').fill('no new entries before it');
    await page.keyboard.press('Enter');
    await expect(event).toContainText('no new entries before it');

    await page.getByRole('heading', { level: 1 }).click();
    await page.keyboard.press('g');
    const dialog = page.getByRole('dialog', { name: 'Gauges and averages' });
    await dialog.getByRole('combobox', { name: 'Add a gauge' }).fill('lantern');
    await page.getByRole('option', { name: /LANT\.Q/ }).click();
    await dialog.getByRole('button', { name: 'Move LANT.Q up' }).click();
    await dialog.getByRole('button', { name: 'Keep' }).click();
    await expect(dialog).toBeHidden();
    await expect(gauges.locator('tbody tr').nth(6)).toContainText('LANT.Q');

    await page.keyboard.press('s');
    await page.getByLabel('Your stance').fill('Fewer names into the holiday; strength is bought on pullbacks.');
    const kept = page.waitForResponse((response) => response.url().endsWith('/plan/bias'));
    await page.getByRole('heading', { level: 1 }).click();
    await kept;
    await expect(step(/Market/)).toContainText('stance written');
    await page.reload();
    await expect(page.getByLabel('Your stance')).toHaveValue('Fewer names into the holiday; strength is bought on pullbacks.');
    await page.keyboard.press('n');
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Candidates for Thursday 15 October 2026');
});

test('candidates are added, kept, passed with a reason and put in order', async () => {
    await page.keyboard.press('a');
    await page.keyboard.type('mossg');
    await expect(page.getByRole('option', { name: /MOSS\.Q/ })).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(row('MOSS.Q')).toBeVisible();

    await page.getByRole('heading', { level: 1 }).click();
    await row('MOSS.Q').locator('td').nth(2).click();
    await page.keyboard.press('k');
    await expect(row('MOSS.Q').getByRole('button', { name: 'Kept' })).toBeVisible();

    await row('HEATH.Q').locator('td').nth(2).click();
    await page.keyboard.press('p');
    const dialog = page.getByRole('dialog', { name: 'Pass HEATH.Q' });
    await dialog.getByRole('button', { name: 'Pass', exact: true }).click();
    await expect(dialog.getByRole('alert')).toContainText('Say why HEATH.Q is passed');
    await dialog.getByRole('textbox').fill('Nothing to wait for yet.');
    await page.keyboard.press('Enter');
    await expect(row('HEATH.Q')).toContainText('Passed: Nothing to wait for yet.');

    // by key: MOSS.Q from the sixth place to the fifth; by drag: GORSE.Q to the top
    await row('MOSS.Q').locator('td').nth(2).click();
    await page.keyboard.press('Alt+ArrowUp');
    await expect(page.locator('tbody tr').nth(4)).toContainText('MOSS.Q');
    await row('GORSE.Q')
        .locator('[data-pc-section="reorderablerowhandle"]')
        .dragTo(page.locator('tbody tr').first().locator('td').first());
    await expect(page.locator('tbody tr').first()).toContainText('GORSE.Q');
});

test('an instrument that is on the list already is refused in words', async () => {
    await page.keyboard.press('a');
    await page.keyboard.type('MOSS');
    await expect(page.getByRole('option', { name: /MOSS\.Q/ })).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(page.getByText('MOSS.Q is on the list already.')).toBeVisible();
});

test('levels are marked by click and by typing, named, deleted and brought back', async () => {
    await row('MOSS.Q').getByRole('link').click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('MOSS.Q Mossgrove Biologics');
    await expect(ladder().getByRole('row').filter({ hasText: 'last close' })).toBeVisible();
    // a click in the chart
    const chart = page.getByRole('img', { name: /Chart of MOSS.*table that follows/ });
    // below the last close, so that it can be bought on the way down
    const lastAt = await page.locator('figure.chart:not(.beside) line.line.last').boundingBox();
    const chartAt = await chart.boundingBox();
    if (lastAt === null || chartAt === null) throw new Error('the last close is not drawn');
    await page.keyboard.press('Shift+T');
    await expect(page.getByRole('button', { name: 'Snap' })).toHaveAttribute('aria-pressed', 'false');
    await chart.click({ position: { x: 200, y: lastAt.y - chartAt.y + 40 } });
    await expect(rungs('own reading')).toHaveCount(1);

    // its origin
    const origin = page.getByRole('combobox', { name: 'Origin of the level' });
    await origin.fill('shelf of August');
    await origin.press('Enter');
    await expect(rungs('shelf of August')).toHaveCount(1);
    await page.keyboard.press('Escape');

    // a typed price, refused when it is none
    await page.getByRole('heading', { level: 1 }).click();
    await page.keyboard.press('m');
    await page.keyboard.type('12,5');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert')).toContainText('"12,5" is not a price.');
    const last = await price(rungs('last close'));
    const typed = (Number(last) * 1.06).toFixed(2);
    await page.getByLabel('Level at').fill(typed);
    await page.keyboard.press('Enter');
    await expect(rungs(typed)).toHaveCount(1);

    // deleted, and undone
    await rungs('shelf of August').focus();
    await page.keyboard.press('Delete');
    await expect(rungs('shelf of August')).toHaveCount(0);
    await page.keyboard.press('Control+z');
    await expect(rungs('shelf of August')).toHaveCount(1);
});

test('the chart shows the averages and panes that were switched on, on every time frame', async () => {
    await page.getByText('Draft kept').click();
    await page.keyboard.press('c');
    await page.getByRole('combobox', { name: 'Add a pane' }).click();
    await page.getByRole('option', { name: 'RSI', exact: true }).click();
    await expect(page.locator('.pane-name').filter({ hasText: 'RSI 14' })).toBeVisible();
    await page.getByRole('spinbutton', { name: 'RSI, period' }).fill('9');
    await page.keyboard.press('Tab');
    await expect(page.locator('.pane-name').filter({ hasText: 'RSI 9' })).toBeVisible();
    await page.keyboard.press('Escape');
    for (const [key, name] of [
        ['f', '5 min'],
        ['h', 'Hour'],
        ['w', 'Week'],
        ['q', 'Quarter'],
        ['d', 'Day'],
    ] as const) {
        await page.getByText('Draft kept').click();
        await page.keyboard.press(key);
        await expect(page.getByRole('button', { name, exact: true, pressed: true })).toBeVisible();
        await expect(page.locator('.pane-name').filter({ hasText: 'RSI 9' })).toBeVisible();
        await expect(rungs('shelf of August')).toHaveCount(1);
    }
    await page.keyboard.press('c');
    await page.getByRole('button', { name: 'Hide RSI' }).click();
    await expect(page.locator('.pane-name').filter({ hasText: 'RSI' })).toHaveCount(0);
    await page.keyboard.press('Escape');
});

test('a setup is made from levels with one key each', async () => {
    await rungs('shelf of August').focus();
    await page.keyboard.press('e');
    await expect(rungs('long entry, touch')).toHaveCount(1);
    const entry = await price(rungs('long entry'));

    // a level further down becomes the stop
    await page.getByLabel('Level at').fill((Number(entry) * 0.95).toFixed(2));
    await page.keyboard.press('Enter');
    await expect(ladder().locator('.row.chosen')).toContainText((Number(entry) * 0.95).toFixed(2));
    await ladder().locator('.row.chosen').focus();
    await page.keyboard.press('s');
    await expect(rungs(/stop/)).toHaveCount(1);

    // R appears on the axis and in the ladder, and the setup reads as a sentence
    await expect(page.locator('.r-axis text').filter({ hasText: '−1 R' })).toBeVisible();
    await expect(rungs(/stop/)).toContainText('−1.0');
    await expect(page.locator('.sentence')).toContainText(`Long when price falls to ${entry}; stop`);
    await expect(page.locator('.read-out').getByRole('img', { name: /long: stop at −1 R, entry at 0/ })).toBeVisible();

    // a target from the typed level above
    const above = ladder().locator('.row.level').first();
    await above.focus();
    await page.keyboard.press('t');
    await expect(rungs('target 1')).toHaveCount(1);
    await expect(page.locator('.sentence')).toContainText('all off at');
});

test('plan prices are typed, nudged by a tick and dragged', async () => {
    const stop = await field('Stop').inputValue();
    await field('Stop').fill(await moved(stop, -5));
    await page.keyboard.press('Enter');
    await expect(rungs(/stop/)).toContainText(await moved(stop, -5));

    await rungs(/stop/).focus();
    await page.keyboard.press('Alt+ArrowUp');
    await expect(rungs(/stop/)).toContainText(await moved(stop, -4));
    await expect(field('Stop')).toHaveValue(await moved(stop, -4));

    const target = rungs('target 1');
    const before = await price(target);
    const box = await target.boundingBox();
    if (box === null) throw new Error('the target has no place');
    await page.mouse.move(box.x + 60, box.y + 10);
    await page.mouse.down();
    await page.mouse.move(box.x + 60, box.y + 30, { steps: 5 });
    await page.mouse.up();
    await expect(field('Target 1')).not.toHaveValue(before);
    expect(Number(await field('Target 1').inputValue())).toBeLessThan(Number(before));
    await page.keyboard.press('Control+z');
    await expect(field('Target 1')).toHaveValue(before);

    // and in the chart
    const line = page.locator('figure.chart:not(.beside) line.line.stop');
    const at = await line.boundingBox();
    const chart = await page.getByRole('img', { name: /^Chart of.*table that follows/ }).boundingBox();
    if (at === null || chart === null) throw new Error('the stop is not drawn');
    await page.mouse.move(chart.x + 150, at.y);
    await page.mouse.down();
    await page.mouse.move(chart.x + 150, at.y + 14, { steps: 5 });
    await page.mouse.up();
    await expect(field('Stop')).not.toHaveValue(await moved(stop, -4));
    await page.keyboard.press('Control+z');
    await expect(field('Stop')).toHaveValue(await moved(stop, -4));
});

test('prices in the wrong order are refused at their field, and the draft is kept', async () => {
    const stop = await field('Stop').inputValue();
    const entry = await field('Entry').inputValue();
    await field('Stop').fill((Number(entry) + 1).toFixed(2));
    await page.keyboard.press('Enter');
    await expect(page.locator('#price-stop-error')).toContainText('must be below the entry');
    await expect(page.locator('#price-stop-error')).toContainText(`Kept: ${stop}.`);
    await page.reload();
    await expect(field('Stop')).toHaveValue(stop);
});

test('the assistant works on the same draft and may not publish', async ({ browser }) => {
    const other = await browser.newPage();
    await signIn(other, 'tobias');
    await other.goto('/plan/publish');
    await expect(other.getByRole('button', { name: 'Publish and seal' })).toBeDisabled();
    await expect(other.getByText('Only the author publishes.')).toBeVisible();
    await other.close();
});

test('the check says what stops the plan, and the plan is published and sealed', async () => {
    await step(/Publish/).click();
    await expect(page.getByText('GORSE.Q is neither kept nor passed.')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Publish and seal' })).toBeDisabled();

    await page.getByRole('link', { name: /GORSE\.Q is neither/ }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('GORSE.Q');
    const last = Number(await price(rungs('last close')));
    await field('Entry').fill((last * 1.004).toFixed(2));
    await page.keyboard.press('Enter');
    await expect(rungs('long entry')).toHaveCount(1);
    await field('Stop').fill((last * 0.98).toFixed(2));
    await page.keyboard.press('Enter');
    await expect(page.locator('.sentence')).toContainText('Long');
    await page.getByRole('combobox', { name: 'Trigger' }).click();
    await page.getByRole('option', { name: /^break/ }).click();
    await expect(page.locator('.sentence')).toContainText('Long on a break');

    await page.keyboard.press('Escape');
    await step(/Publish/).click();
    await expect(page.getByRole('article')).toContainText('Daily plan, preview');
    await expect(page.getByRole('article')).toContainText('Passed: Nothing to wait for yet.');

    // the author's own words, with a number that is named and not typed
    await page.getByRole('heading', { level: 2, name: 'Publish' }).click();
    await page.keyboard.press('w');
    await field('The session ahead').fill('Below this it is wrong: ');
    await page.getByRole('button', { name: 'Insert a reference into The session ahead' }).click();
    const reference = page.getByRole('dialog', { name: 'Insert a reference' });
    await reference.getByRole('combobox').click();
    await page.keyboard.type('OAKL.Q stop');
    await page.getByRole('option', { name: /^OAKL\.Q stop/ }).click();
    const stop = /\d+\.\d\d/.exec(await reference.getByRole('combobox').innerText());
    await reference.getByRole('button', { name: 'Insert' }).click();
    await expect(field('The session ahead')).toHaveValue('Below this it is wrong: {OAKL.Q stop}');
    await expect(page.getByText('all kept')).toBeVisible();
    const told = page.getByRole('article').getByRole('region', { name: 'The session ahead' });
    await expect(told).toContainText(/Below this it is wrong: \d+\.\d\d/);
    expect(stop === null || (await told.innerText()).includes(stop[0])).toBe(true);

    await page.getByRole('button', { name: 'Visitors', exact: true }).click();
    await expect(page.getByRole('article')).toContainText('The plan for it is for Harbour readers.');
    await page.getByRole('button', { name: 'Pilot', exact: true }).click();
    await page.getByRole('button', { name: 'Publish and seal' }).click();
    await page.getByRole('alertdialog').getByRole('button', { name: 'Publish and seal' }).click();
    await expect(page).toHaveURL(/editions\/34$/);
    await expect(page.getByRole('article')).toContainText('Daily plan, edition 34');
    await expect(page.getByRole('article')).toContainText(/Sealed with SHA-256 [0-9a-f]{64}, after [0-9a-f]{64}/);
});

test('it reaches each reader as their tier reads it, and a visitor by its headline', async ({ browser }) => {
    const stop = /stop ([\d.]+)/.exec(await page.locator('.part .sentence').first().innerText())?.[1] ?? '';
    expect(stop).not.toBe('');
    const visitor = await browser.newPage({ viewport: { width: 390, height: 844 } });
    await visitor.goto('/editions');
    await visitor.getByRole('link', { name: /Thursday 15 October 2026/ }).click();
    await expect(visitor.getByRole('article')).toContainText('The plan for it is for Harbour readers.');
    expect(await visitor.content()).not.toContain(stop);
    expect(await visitor.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
    await visitor.goto('/mailbox?to=ines@watchpost.test');
    await expect(visitor.getByRole('button', { name: /^Edition 34/ })).toBeVisible();
    await expect(visitor.frameLocator('iframe').getByRole('heading', { name: 'Thursday 15 October 2026' })).toBeVisible();

    await signIn(visitor, 'jonas');
    await visitor
        .getByRole('link', { name: /Thursday 15 October 2026/ })
        .first()
        .click();
    await expect(visitor.locator('.part .sentence').first()).toContainText(stop);
    await visitor.getByRole('button', { name: '○ follow' }).first().click();
    await expect(visitor.getByRole('button', { name: '● following' })).toBeVisible();
    await visitor.close();

    await page.goto('/subscribers');
    const deliveries = page.getByRole('region', { name: 'Deliveries' });
    await expect(deliveries.locator('.delivery').filter({ hasText: 'Edition 34' })).toContainText(/\d of 6 arrived/);
    await expect(deliveries.locator('.delivery').filter({ hasText: 'Edition 34' })).toContainText('Petra Sund, webhook');
});

test('the market is played forward: by a bar, to the close, by sessions', async () => {
    const clock = page.getByRole('button', { name: /Quay time/ });
    const play = async (name: string): Promise<void> => {
        await clock.click();
        await page.getByRole('button', { name, exact: true }).click();
        await page.keyboard.press('Escape');
    };
    await play('Next bar (5 minutes)');
    await expect(clock).toContainText('Thu 15 Oct 2026, 09:35');
    await play('To the close of the session');
    await expect(clock).toContainText('Thu 15 Oct 2026, 16:00');
    await play('sessions');
    await expect(clock).toContainText('Fri 23 Oct 2026, 16:00');

    // its author is told by mail what happened to what is published
    await page.goto('/mailbox');
    await expect(
        page
            .getByRole('button')
            .filter({ hasText: /\.Q: filled at [\d.]+.*maren@watchpost\.test/s })
            .first(),
    ).toBeVisible();
    await page.goto('/record');
});

test('the record tells what happened to every published setup', async () => {
    await page.goto('/record');
    const edition = page.locator('tbody').filter({ hasText: 'Edition 34' });
    // one of its four candidates is planned in two ways
    await expect(edition.locator('tr.row')).toHaveCount(5);
    await expect(edition.locator('tr.row.waiting')).toHaveCount(0);
    for (const one of await edition.locator('tr.row').all()) {
        await expect(one).toContainText(/closed|open|not triggered|cancelled|void/);
        await expect(one.getByRole('img', { name: /stop at −1 R/ })).toBeVisible();
    }
    const over = edition
        .locator('tr.row')
        .filter({ hasText: /closed|open/ })
        .first();
    await over.click();
    await expect(edition.locator('tr.details')).toContainText('filled at');
    await expect(page.locator('.totals')).toContainText('realised');
});

test('a subscriber reads the edition and what happened since', async () => {
    await signOut(page);
    await signIn(page, 'ines');
    await page.getByRole('link', { name: /Thursday 15 October 2026/ }).click();
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Thursday 15 October 2026');
    await expect(page.getByRole('heading', { name: 'What happened since' }).first()).toBeVisible();
    await page.getByRole('link', { name: 'Verify it yourself' }).click();
    await expect(page.getByText('watchpost verify evidence-34.json --bars bars-34.csv --previous')).toBeVisible();
    await page.goto('/plan/candidates');
    await expect(page.getByText('403')).toBeVisible();
});
