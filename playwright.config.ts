import { defineConfig } from '@playwright/test';

const PORT = 8137;

export default defineConfig({
    testDir: 'e2e',
    workers: 1,
    fullyParallel: false,
    // a shared machine is slow at times: a journey waits, it does not race
    timeout: 240_000,
    expect: { timeout: 30_000 },
    reporter: [['list']],
    use: {
        baseURL: `http://127.0.0.1:${PORT}`,
        viewport: { width: 1280, height: 800 },
        colorScheme: 'light',
        actionTimeout: 30_000,
        // a trace makes each step some times slower:  TRACE=1 npx playwright test ...
        trace: process.env.TRACE ? 'retain-on-failure' : 'off',
        launchOptions: {
            executablePath: '/usr/bin/chromium',
            args: [
                '--no-sandbox',
                '--disable-gpu',
                '--disable-quic',
                '--no-first-run',
                '--disable-background-networking',
                '--disable-component-update',
                '--disable-sync',
            ],
        },
    },
    webServer: {
        command: `e2e/serve ${PORT}`,
        url: `http://127.0.0.1:${PORT}/up`,
        timeout: 240_000,
        reuseExistingServer: false,
        gracefulShutdown: { signal: 'SIGTERM', timeout: 3_000 },
    },
});
