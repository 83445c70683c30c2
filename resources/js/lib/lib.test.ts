import { mount } from '@vue/test-utils';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { defineComponent, h } from 'vue';
import { Refusal, send } from './http';
import { helpOpen, shown, useShortcuts } from './keys';

describe('asking the server', () => {
    afterEach(() => void vi.unstubAllGlobals());

    const answer = (status: number, body: unknown): void => {
        vi.stubGlobal(
            'fetch',
            vi.fn(() => Promise.resolve(new Response(JSON.stringify(body), { status }))),
        );
    };

    it('gives what it answers', async () => {
        answer(200, { id: 1 });
        expect(await send('GET', '/x')).toEqual({ id: 1 });
    });

    it('tells a refusal by field, in the words of the server', async () => {
        answer(422, { errors: { 'stop.price': ['must be below the entry'], other: ['no'] } });
        const refusal = await send('PATCH', '/x', {}).catch((error: unknown) => error);
        expect(refusal).toBeInstanceOf(Refusal);
        expect((refusal as Refusal).errors).toEqual({ 'stop.price': 'must be below the entry', other: 'no' });
        expect((refusal as Refusal).message).toBe('must be below the entry');
    });

    it('says what is kept when the server cannot be reached or the session is over', async () => {
        vi.stubGlobal(
            'fetch',
            vi.fn(() => Promise.reject(new TypeError('failed'))),
        );
        await expect(send('GET', '/x')).rejects.toThrow('Nothing was changed');
        answer(419, {});
        await expect(send('GET', '/x')).rejects.toThrow('Your draft is kept');
    });

    it('passes on what the server says of a conflict', async () => {
        answer(409, { message: 'This plan is published and sealed.' });
        await expect(send('PATCH', '/x', {})).rejects.toThrow('published and sealed');
    });

    it('proves itself with the token of the cookie', async () => {
        document.cookie = 'XSRF-TOKEN=a%3Db';
        answer(200, {});
        await send('POST', '/x', { a: 1 });
        const [, options] = vi.mocked(fetch).mock.calls[0] ?? [];
        expect((options?.headers as Record<string, string>)['X-XSRF-TOKEN']).toBe('a=b');
    });
});

describe('shortcuts', () => {
    const run = vi.fn();
    const Screen = defineComponent({
        setup() {
            useShortcuts([
                { keys: 'k', does: 'keep', run: () => run('k') },
                { keys: 'Ctrl+z', does: 'undo', run: () => run('undo') },
                { keys: 'Ctrl+Enter', does: 'publish', run: () => run('publish'), inFields: true },
                { keys: 'e', does: 'told elsewhere', run: () => run('e'), told: true },
            ]);
            return () => h('div', [h('input'), h('div', { role: 'dialog' }, [h('button')])]);
        },
    });
    const press = (target: Element, key: string, more = {}): boolean =>
        target.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more }));

    afterEach(() => run.mockClear());

    it('act outside of fields, some also inside, none below a dialog', () => {
        const screen = mount(Screen, { attachTo: document.body });
        press(document.body, 'k');
        press(screen.get('input').element, 'k');
        press(screen.get('input').element, 'Enter', { ctrlKey: true });
        press(screen.get('button').element, 'k');
        press(document.body, 'Z', { ctrlKey: true });
        press(document.body, 'e');
        expect(run.mock.calls.flat()).toEqual(['k', 'publish', 'undo']);
        screen.unmount();
    });

    it('are told on ? and gone with the screen', () => {
        const screen = mount(Screen, { attachTo: document.body });
        press(document.body, '?');
        expect(helpOpen.value).toBe(true);
        expect(shown.value.map((one) => one.does)).toContain('undo');
        screen.unmount();
        expect(shown.value).toEqual([]);
        press(document.body, 'k');
        expect(run).not.toHaveBeenCalled();
    });
});
