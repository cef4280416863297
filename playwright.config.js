import { defineConfig } from '@playwright/test'
import { environment, HOST, PORT } from './tests/Browser/server.js'

export default defineConfig({
    testDir: 'tests/Browser',
    outputDir: 'tests/Browser/output',
    workers: 1, // one database
    retries: process.env.NEKTO_LONG ? 0 : 1, // a shared machine's hiccup is named as flaky; before an issue ends none is let pass
    timeout: 120_000, // shared machines are at times ten times slower than others
    expect: { timeout: 20_000 },
    reporter: [['line']],
    use: {
        baseURL: `http://${HOST}:${PORT}`,
        viewport: { width: 1280, height: 800 },
        serviceWorkers: 'block', // but where it is what a test is about: else what it asks for cannot be held up
        launchOptions: {
            executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
            args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
        },
    },
    globalSetup: './tests/Browser/prepare.js',
    webServer: {
        command: `bin/serve ${HOST} ${PORT}`,
        url: `http://${HOST}:${PORT}/alive`,
        env: environment,
        reuseExistingServer: false,
        stdout: 'ignore',
        stderr: 'ignore',
    },
})
