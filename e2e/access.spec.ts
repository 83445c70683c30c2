import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { signIn } from './people';

const PAGES = [
    '/plan/review',
    '/subscribers',
    '/settings',
    '/mailbox',
    '/sink',
    '/plan/market',
    '/instruments/OAKL.Q',
    '/data',
    '/plan/candidates',
    '/plan/mark',
    '/levels',
    '/plan/publish',
    '/record',
    '/editions',
    '/editions/31',
    '/editions/33',
];

for (const colorScheme of ['light', 'dark'] as const) {
    test.describe(colorScheme, () => {
        test.use({ colorScheme });

        test('no page has a fault of accessibility', async ({ page }) => {
            await signIn(page, 'maren');
            for (const path of PAGES) {
                await page.goto(path);
                await page.waitForLoadState('networkidle');
                // a mail is a page of its own, without scripts: it cannot be looked into
                await page.evaluate(() => document.querySelectorAll('iframe').forEach((frame) => frame.remove()));
                const look = new AxeBuilder({ page });
                // in the dark only the colours are others
                if (colorScheme === 'dark') look.withRules(['color-contrast']);
                else look.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']);
                const { violations } = await look.analyze();
                expect
                    .soft(
                        violations.map(
                            (one) => `${path}: ${one.id}: ${one.nodes.map((node) => node.html.slice(0, 160)).join(' | ')}`,
                        ),
                    )
                    .toEqual([]);
            }
        });
    });
}

test('the keys of a screen are told on ?', async ({ page }) => {
    await signIn(page, 'maren');
    await page.goto('/plan/mark');
    await page.getByRole('heading', { level: 1 }).waitFor();
    await page.keyboard.press('?');
    const help = page.getByRole('dialog', { name: 'Keys of this screen' });
    await expect(help).toContainText('make the chosen price the entry');
    await page.keyboard.press('Escape');
    await expect(help).toBeHidden();

    await page.keyboard.press(']');
    await expect(page.getByRole('button', { name: 'Week', pressed: true })).toBeVisible();
    await expect(page.locator('#bar-reading')).toContainText('week from');
    await page.keyboard.press('d');
    await expect(page.getByRole('button', { name: 'Day', pressed: true })).toBeVisible();

    for (const [key, frame] of [
        ['f', '5 min'],
        ['i', '30 min'],
        ['h', 'Hour'],
        ['w', 'Week'],
        ['y', 'Month'],
        ['d', 'Day'],
    ] as const) {
        await page.keyboard.press(key);
        await expect(page.getByRole('button', { name: frame, exact: true, pressed: true })).toBeVisible();
    }

    await page.keyboard.press('j');
    await expect(page).toHaveURL(/plan\/mark\/\d+/);
});
