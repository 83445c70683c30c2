import { defineConfig } from '@playwright/test';

const PORT = 8137;

export default defineConfig({
    testDir: 'e2e',
    workers: 1,
    fullyParallel: false,
    timeout: 60_000,
    expect: { timeout: 10_000 },
    reporter: [['list']],
    use: {
        baseURL: `http://127.0.0.1:${PORT}`,
        viewport: { width: 1280, height: 800 },
        colorScheme: 'light',
        trace: 'retain-on-failure',
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
        timeout: 120_000,
        reuseExistingServer: false,
        gracefulShutdown: { signal: 'SIGTERM', timeout: 3_000 },
    },
});
