// What the author feels on the main screen, measured in Chromium: a drag with 500 bars, 40 levels and three panes, also
// with the processor slowed four times, and the step to the next candidate.   node e2e/bench.mjs PORT
import { chromium } from 'playwright-core';

const FRAME = 1000 / 60;
const LEVELS = 40;
const START = 10;
const base = `http://127.0.0.1:${process.argv[2]}`;

const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const slow = await page.context().newCDPSession(page);

await page.goto(`${base}/sign-in`);
await page.getByLabel('Address').fill('maren@watchpost.test');
await page.getByLabel('Password').fill('lantern');
await page.getByRole('button', { name: 'Sign in' }).click();
await page.waitForURL((url) => !url.pathname.includes('sign-in'));

/** Ask the application for a change, as the page does. */
function ask(method, path, body) {
    return page.evaluate(
        async ([how, where, what]) => {
            const token = decodeURIComponent(document.cookie.split('XSRF-TOKEN=')[1]?.split(';')[0] ?? '');
            const answer = await fetch(where, {
                method: how,
                headers: { Accept: 'application/json', 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
                body: JSON.stringify(what),
            });
            return answer.status;
        },
        [method, path, body],
    );
}

await page.goto(`${base}/plan/mark`);
await page.waitForLoadState('networkidle');
const steps = [];
for (const key of ['k', 'j', 'k', 'j', 'k', 'j']) {
    await page.waitForTimeout(2500);
    const before = await page.locator('h1 .symbol').innerText();
    steps.push(
        await page.evaluate(
            ([press, was]) =>
                new Promise((done) => {
                    const start = performance.now();
                    const chart = document.querySelector('.chart-box');
                    const watcher = new MutationObserver(() => {
                        const now = document.querySelector('h1 .symbol')?.textContent;
                        if (now !== was && chart.querySelector('figure.chart:not(.beside) .candles .wicks')?.getAttribute('d')) {
                            watcher.disconnect();
                            // the frame in which it is seen
                            requestAnimationFrame(() => done(performance.now() - start));
                        }
                    });
                    watcher.observe(document.body, { subtree: true, childList: true, characterData: true, attributes: true });
                    window.dispatchEvent(new KeyboardEvent('keydown', { key: press, bubbles: true }));
                }),
            [key, before],
        ),
    );
}
console.log(`to the next candidate by key, its chart drawn: ${told(steps)}`);

const pane = (kind, parameters) => ({ kind, parameters, symbol: null });
await ask('PATCH', '/settings/chart', {
    averages: [
        { kind: 'ema', period: 20 },
        { kind: 'sma', period: 50 },
        { kind: 'sma', period: 200 },
    ],
    panes: [pane('volume', {}), pane('rsi', { period: 14 }), pane('macd', { fast: 12, slow: 26, signal: 9 })],
    extended: false,
});

await page.goto(`${base}/plan/mark`);
await page.waitForLoadState('networkidle');
const path = new URL(page.url()).pathname;
const last = Number(await page.locator('.row.last .price').innerText());
for (let i = 0; i < LEVELS; i++) {
    await ask('POST', `${path}/levels`, { price: (last * (0.9 + i * 0.005)).toFixed(2) });
}
await page.reload();
await page.waitForLoadState('networkidle');
await page.keyboard.press('Home');

/** The work of each frame while a level is dragged up and down, in ms. */
function drag() {
    return page.evaluate(async (frames) => {
        const svg = document.querySelector('figure.chart:not(.beside) svg');
        const line = svg.querySelector('line.line.level');
        const box = svg.getBoundingClientRect();
        const y = box.top + Number(line.getAttribute('y1'));
        const at = (type, dy, buttons) =>
            svg.dispatchEvent(
                new PointerEvent(type, {
                    bubbles: true,
                    pointerId: 1,
                    button: 0,
                    buttons,
                    clientX: box.left + 60,
                    clientY: y + dy,
                }),
            );
        svg.setPointerCapture = () => {};
        at('pointermove', 0, 0);
        at('pointerdown', 0, 1);
        const work = [];
        const between = [];
        let before = 0;
        for (let i = 0; i < frames; i++) {
            const stamp = await new Promise(requestAnimationFrame);
            if (before > 0) between.push(stamp - before);
            before = stamp;
            const start = performance.now();
            at('pointermove', Math.sin(i / 12) * 60, 1);
            await new Promise((done) => queueMicrotask(done));
            await Promise.resolve();
            document.querySelector('.ladder').getBoundingClientRect();
            work.push(performance.now() - start);
        }
        // let go where it was taken: nothing is changed
        at('pointermove', 0, 1);
        return { work, between, bars: svg.querySelectorAll('.candles path').length };
    }, 240);
}

function told(values) {
    const sorted = [...values].sort((a, b) => a - b);
    const of = (share) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))].toFixed(1);
    return `median ${of(0.5)} ms, 95 % ${of(0.95)} ms, most ${of(1)} ms`;
}

const levels = await page.locator('.row.level').count();
const bars = await page.evaluate(
    () => document.querySelector('figure.chart:not(.beside) .candles .wicks').getAttribute('d').split('M').length / 2,
);
console.log(`drag with ${Math.round(bars)} bars, ${levels} levels on the ladder, 3 panes`);
for (const rate of [1, 4]) {
    await slow.send('Emulation.setCPUThrottlingRate', { rate });
    const { work, between } = await drag();
    const rateSeen = (1000 * between.length) / between.reduce((sum, one) => sum + one, 0);
    // the press itself puts the moving line and row in: what follows it is the drag
    const late = between.flatMap((one, i) => (one > FRAME * 1.5 ? [i] : []));
    const dragged = late.filter((i) => i >= START).length;
    console.log(
        `  processor ${rate === 1 ? 'as it is' : `slowed ${rate} times`}: work of a frame ${told(work)}; ${rateSeen.toFixed(1)} frames a second, ${late.length} of ${between.length} late, ${dragged} of them after the first ${START}`,
    );
    await page.keyboard.press('Escape');
}
await slow.send('Emulation.setCPUThrottlingRate', { rate: 1 });

await browser.close();
