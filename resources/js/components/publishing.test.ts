import { router } from '@inertiajs/vue3';
import { flushPromises, mount } from '@vue/test-utils';
import PrimeVue from 'primevue/config';
import ToastService from 'primevue/toastservice';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { EditionTextData, FollowedData, OutcomeData, PlanPartData } from '@/types/data';
import EditionText from './EditionText.vue';
import FollowedFacts from './FollowedFacts.vue';
import PlanWords from './PlanWords.vue';

vi.mock('@inertiajs/vue3', async (original) => ({
    ...(await original<object>()),
    usePage: () => ({ props: { tiers: [{ value: 'visitors', label: 'Visitors' }] } }),
}));

const plugins = [[PrimeVue, {}], ToastService] as never[];

const outcome = (status: OutcomeData['status'], r: string | null): OutcomeData => ({
    status,
    label: status,
    asOf: '',
    r,
    rRealised: r,
    rOpen: '0',
    percent: r,
    perUnit: r,
    averageFill: null,
    sessionsHeld: 1,
    best: null,
    worst: null,
    ambiguous: false,
    missed: null,
    targetFirst: null,
    events: [],
    strip: { side: 'long', targets: ['2'], now: null, fill: null, best: null, worst: null, filled: '0' },
    remarks: [],
});

describe('what became of a published setup', () => {
    it('tells as published alone while nothing was changed', () => {
        const followed: FollowedData = { outcome: outcome('open', '0.5'), managed: null, updates: [] };
        const text = mount(FollowedFacts, { props: { followed }, global: { plugins } }).text();
        expect(text).not.toContain('As published');
        expect(text).not.toContain('As managed');
    });

    it('tells both results, and every update with its time and words', () => {
        const followed: FollowedData = {
            outcome: outcome('closed', '-1'),
            managed: outcome('closed', '0.2'),
            updates: [
                { id: 1, when: 'Thu 15 Oct 2026, 10:00', what: 'Stop moved to 61.20', text: 'No risk left.', noEffect: null },
                { id: 2, when: 'Thu 15 Oct 2026, 11:00', what: 'Stop moved to 61.00', text: '', noEffect: 'Had no effect.' },
            ],
        };
        const text = mount(FollowedFacts, { props: { followed }, global: { plugins } }).text();
        expect(text).toContain('As published');
        expect(text).toContain('−1.00 R');
        expect(text).toContain('As managed, with the updates');
        expect(text).toContain('+0.20 R');
        expect(text).toContain('Stop moved to 61.20: No risk left.');
        expect(text).toContain('Had no effect.');
    });
});

describe('a text of an edition', () => {
    it('is told under its title', () => {
        const text: EditionTextData = {
            role: 'text',
            title: 'The session ahead',
            place: 'before',
            markdown: '',
            html: '<p>Wait for <strong>61.20</strong>.</p>',
        };
        const wrapper = mount(EditionText, { props: { text } });
        expect(wrapper.get('h2').text()).toBe('The session ahead');
        expect(wrapper.get('strong').text()).toBe('61.20');
    });
});

describe('the texts of a plan', () => {
    const part: PlanPartData = {
        id: 'a',
        role: 'text',
        title: 'The session ahead',
        text: 'Kept.',
        place: 'before',
        readers: 'visitors',
        isRequired: false,
    };
    type Options = { onSuccess?: () => void; onError?: (errors: Record<string, string>) => void; onFinish?: () => void };
    let sent: { url: string; data: unknown; options: Options }[] = [];

    beforeEach(() => {
        vi.useFakeTimers();
        sent = [];
        vi.spyOn(router, 'patch').mockImplementation((url, data, options) => {
            sent.push({ url: String(url), data, options: options as Options });
        });
    });
    afterEach(() => {
        vi.useRealTimers();
        vi.restoreAllMocks();
    });

    const words = () =>
        mount(PlanWords, {
            props: { bias: '', texts: [part] },
            global: { plugins, stubs: { teleport: true } },
            attachTo: document.body,
        });

    it('keeps a text a moment after the last letter, with what it was before', async () => {
        const wrapper = words();
        await wrapper.get('#text-a').setValue('Kept. And more.');
        vi.advanceTimersByTime(1000);
        expect(sent).toEqual([]);
        vi.advanceTimersByTime(500);
        expect(sent.map(({ url, data }) => ({ url, data }))).toEqual([
            { url: '/plan/parts/a', data: { text: 'Kept. And more.', was: 'Kept.' } },
        ]);
        sent[0]?.options.onSuccess?.();
        vi.advanceTimersByTime(5000);
        expect(sent).toHaveLength(1);
        wrapper.unmount();
    });

    it('keeps what is typed when the page is left', async () => {
        const wrapper = words();
        await wrapper.get('#text-a').setValue('Left in the middle');
        wrapper.unmount();
        expect(sent.map(({ data }) => data)).toEqual([{ text: 'Left in the middle', was: 'Kept.' }]);
    });

    it('does not overwrite what is being typed with what comes from the server', async () => {
        const wrapper = words();
        await wrapper.get('#text-a').setValue('Mine, not kept yet');
        await wrapper.setProps({ texts: [{ ...part, text: 'Someone else’s' }] });
        expect((wrapper.get('#text-a').element as HTMLTextAreaElement).value).toBe('Mine, not kept yet');
        wrapper.unmount();
    });

    it('lays both texts side by side when two people changed one, and keeps mine on top of theirs', async () => {
        const wrapper = words();
        await wrapper.get('#text-a').setValue('Mine.');
        await wrapper.get('#text-a').trigger('blur');
        sent[0]?.options.onError?.({ stale: 'Someone else changed this text.', theirs: 'Theirs.' });
        await flushPromises();
        expect(document.body.textContent).toContain('Theirs, as it is kept now');
        expect(document.body.textContent).toContain('Theirs.');
        const keep = [...document.querySelectorAll('button')].find((button) => button.textContent?.includes('Keep mine'));
        keep?.click();
        expect(sent[1]?.data).toEqual({ text: 'Mine.', was: 'Theirs.' });
        wrapper.unmount();
    });
});
