<script setup lang="ts">
import { router, usePage } from '@inertiajs/vue3';
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import InputText from 'primevue/inputtext';
import Menu from 'primevue/menu';
import Select from 'primevue/select';
import Textarea from 'primevue/textarea';
import { useToast } from 'primevue/usetoast';
import { computed, onBeforeUnmount, reactive, ref, watch } from 'vue';
import { send, sendFile } from '@/lib/http';
import { readers } from '@/lib/tiers';
import type { PlanPartData, ReferenceData } from '@/types/data';

/** The texts of a plan: written in Markdown, kept as they are typed, with references to what the plan says. */
const props = defineProps<{ bias: string; texts: PlanPartData[] }>();

/** Of a text that two people changed: both, to be laid side by side. */
interface Clash {
    id: string;
    title: string;
    mine: string;
    theirs: string;
}

const WAIT = 1200;
const BIAS = 'bias';

const page = usePage();
const toast = useToast();
const drafts = reactive<Record<string, string>>({});
/** What the words were when they were last in step with the server. */
const seen = reactive<Record<string, string>>({});
const clash = ref<Clash | null>(null);
const saving = ref(0);
const timers = new Map<string, ReturnType<typeof setTimeout>>();

watch(
    () => [props.bias, props.texts] as const,
    () => {
        for (const { id, text } of [{ id: BIAS, text: props.bias }, ...props.texts]) {
            // what is being typed stays; what is in step follows
            if (drafts[id] === undefined || drafts[id] === seen[id]) {
                drafts[id] = text;
                seen[id] = text;
            }
        }
    },
    { immediate: true },
);

function typed(id: string): void {
    clearTimeout(timers.get(id));
    timers.set(
        id,
        setTimeout(() => keep(id), WAIT),
    );
}

/** Keeps a text; what the server refuses stays here to be mended. */
function keep(id: string, was: string = seen[id] ?? ''): void {
    clearTimeout(timers.get(id));
    const text = drafts[id] ?? '';
    if (text === seen[id] && was === seen[id]) {
        return;
    }
    saving.value++;
    router.patch(id === BIAS ? '/plan/bias' : `/plan/parts/${id}`, id === BIAS ? { bias: text, was } : { text, was }, {
        preserveScroll: true,
        preserveState: true,
        onSuccess: () => {
            seen[id] = id === BIAS ? text.trim() : text;
            if (id === BIAS && drafts[id] === text) {
                drafts[id] = text.trim();
            }
        },
        onError: (errors) => {
            if (errors.theirs !== undefined || errors.stale !== undefined) {
                const title = id === BIAS ? 'The bias' : (props.texts.find((one) => one.id === id)?.title ?? '');
                clash.value = { id, title, mine: text, theirs: errors.theirs ?? '' };
            } else {
                toast.add({
                    severity: 'error',
                    summary: Object.values(errors)[0] ?? 'The text could not be kept.',
                    detail: 'What you typed stays here.',
                    life: 8000,
                });
            }
        },
        onFinish: () => saving.value--,
    });
}

function takeTheirs(): void {
    if (clash.value !== null) {
        drafts[clash.value.id] = seen[clash.value.id] = clash.value.theirs;
        clash.value = null;
    }
}

function keepMine(): void {
    if (clash.value !== null) {
        const { id, mine, theirs } = clash.value;
        drafts[id] = mine;
        clash.value = null;
        keep(id, theirs);
    }
}

// nothing typed is lost when the page is left
onBeforeUnmount(() => {
    for (const id of timers.keys()) {
        if (drafts[id] !== seen[id]) {
            keep(id);
        }
    }
});

function change(id: string, changes: Record<string, string>): void {
    router.patch(`/plan/parts/${id}`, changes, { preserveScroll: true, preserveState: true, onError: told });
}

function told(errors: Record<string, string>): void {
    toast.add({ severity: 'error', summary: Object.values(errors)[0] ?? 'Nothing was changed.', life: 8000 });
}

// what a text can name
const references = ref<ReferenceData[]>([]);
const inserting = ref<string | null>(null);
const chosen = ref<ReferenceData | null>(null);

async function insert(id: string): Promise<void> {
    inserting.value = id;
    chosen.value = null;
    try {
        references.value = await send<ReferenceData[]>('GET', '/plan/references');
    } catch (error) {
        inserting.value = null;
        toast.add({ severity: 'error', summary: (error as Error).message, life: 6000 });
    }
}

function put(words: string, id: string): void {
    const field = document.getElementById(`text-${id}`) as HTMLTextAreaElement | null;
    const text = drafts[id] ?? '';
    const at = field === null ? text.length : field.selectionStart;
    drafts[id] = `${text.slice(0, at)}${words}${text.slice(at)}`;
    keep(id);
}

function putReference(): void {
    if (chosen.value !== null && inserting.value !== null) {
        put(`{${chosen.value.name}}`, inserting.value);
    }
    inserting.value = null;
}

async function attach(event: Event, id: string): Promise<void> {
    const input = event.target as HTMLInputElement;
    const file = input.files?.[0];
    input.value = '';
    if (file === undefined) {
        return;
    }
    try {
        const { markdown } = await sendFile<{ markdown: string }>('/plan/images', 'image', file);
        put(`\n\n${markdown}\n\n`, id);
    } catch (error) {
        toast.add({ severity: 'error', summary: (error as Error).message, detail: 'The text is as it was.', life: 8000 });
    }
}

// a new text
const adding = ref(false);
const fresh = reactive({ title: '', role: 'text', place: 'before' });
const refused = ref('');
const ROLES = [
    { value: 'text', label: 'Text' },
    { value: 'disclaimer', label: 'Disclaimer' },
    { value: 'holdings', label: 'What the author holds' },
    { value: 'sponsorship', label: 'Sponsorship' },
];
const PLACES = [
    { value: 'before', label: 'before the setups' },
    { value: 'after', label: 'after the setups' },
];
const tiers = computed(() => readers(page.props.tiers));

function add(): void {
    router.post(
        '/plan/parts',
        { ...fresh },
        {
            preserveScroll: true,
            preserveState: true,
            onSuccess: () => {
                adding.value = false;
                fresh.title = '';
            },
            onError: (errors) => (refused.value = Object.values(errors)[0] ?? ''),
        },
    );
}

const menu = ref<InstanceType<typeof Menu>>();
const menuOf = ref<PlanPartData | null>(null);
const items = computed(() => {
    const part = menuOf.value;
    return part === null
        ? []
        : [
              { label: 'Up', icon: 'pi pi-arrow-up', command: () => move(part, -1) },
              { label: 'Down', icon: 'pi pi-arrow-down', command: () => move(part, 1) },
              {
                  label: part.place === 'before' ? 'Place it after the setups' : 'Place it before the setups',
                  command: () => change(part.id, { place: part.place === 'before' ? 'after' : 'before' }),
              },
              {
                  label: 'Read by',
                  items: tiers.value.map(({ value, label }) => ({
                      label: `${part.readers === value ? '● ' : ''}${label}`,
                      command: () => change(part.id, { readers: value }),
                  })),
              },
              {
                  label: 'Remove it',
                  icon: 'pi pi-trash',
                  command: () =>
                      router.delete(`/plan/parts/${part.id}`, { preserveScroll: true, preserveState: true, onError: told }),
              },
          ];
});

function move(part: PlanPartData, by: number): void {
    router.post(`/plan/parts/${part.id}/move`, { by }, { preserveScroll: true, preserveState: true, onError: told });
}

function openMenu(event: Event, part: PlanPartData): void {
    menuOf.value = part;
    menu.value?.toggle(event);
}
</script>

<template>
    <div class="words">
        <label for="bias">Bias for the session, in one line</label>
        <Textarea
            id="bias"
            v-model="drafts.bias"
            rows="2"
            maxlength="400"
            fluid
            auto-resize
            @input="typed('bias')"
            @blur="keep('bias')"
        />
        <section v-for="part in texts" :key="part.id" :aria-label="part.title">
            <div class="bar">
                <label :for="`text-${part.id}`">{{ part.title }}</label>
                <span class="muted">{{ part.place === 'before' ? 'before the setups' : 'after' }}</span>
                <Button
                    icon="pi pi-at"
                    text
                    size="small"
                    severity="secondary"
                    :aria-label="`Insert a reference into ${part.title}`"
                    title="Insert a reference"
                    @click="insert(part.id)"
                />
                <label class="attach" title="Insert a picture">
                    <i class="pi pi-image" aria-hidden="true" />
                    <input
                        type="file"
                        accept="image/png,image/jpeg,image/webp"
                        class="visually-hidden"
                        :aria-label="`Insert a picture into ${part.title}`"
                        @change="attach($event, part.id)"
                    />
                </label>
                <Button
                    icon="pi pi-ellipsis-v"
                    text
                    size="small"
                    severity="secondary"
                    :aria-label="`More of ${part.title}`"
                    aria-haspopup="true"
                    @click="openMenu($event, part)"
                />
            </div>
            <Textarea
                :id="`text-${part.id}`"
                v-model="drafts[part.id]"
                rows="3"
                maxlength="20000"
                fluid
                auto-resize
                :placeholder="
                    part.isRequired ? 'Your settings require this of every edition.' : 'Markdown. Left empty, it is left out.'
                "
                @input="typed(part.id)"
                @blur="keep(part.id)"
            />
        </section>
        <div class="foot">
            <Button label="Another text…" size="small" severity="secondary" outlined @click="adding = true" />
            <span class="muted" role="status">{{ saving > 0 ? 'keeping…' : 'all kept' }}</span>
        </div>
        <Menu ref="menu" :model="items" popup />

        <Dialog
            :visible="clash !== null"
            modal
            :header="`${clash?.title ?? ''}: changed by two`"
            :style="{ width: '680px' }"
            :closable="false"
        >
            <p>Someone else changed this text since you opened it. Nothing is lost: choose, or put them together in yours.</p>
            <div v-if="clash" class="both">
                <div>
                    <h3>Theirs, as it is kept now</h3>
                    <p class="theirs">{{ clash.theirs || '(empty)' }}</p>
                </div>
                <div>
                    <h3><label for="clash-mine">Yours</label></h3>
                    <Textarea id="clash-mine" v-model="clash.mine" rows="6" fluid auto-resize />
                </div>
            </div>
            <template #footer>
                <Button label="Take theirs" severity="secondary" outlined @click="takeTheirs" />
                <Button label="Keep mine" @click="keepMine" />
            </template>
        </Dialog>
        <Dialog
            :visible="inserting !== null"
            modal
            header="Insert a reference"
            :style="{ width: '440px' }"
            @update:visible="inserting = null"
        >
            <form class="dialog-form" @submit.prevent="putReference">
                <p class="muted">A price, a setup, a result or a figure of the record: it always shows the right number.</p>
                <Select
                    v-model="chosen"
                    :options="references"
                    option-label="name"
                    filter
                    auto-filter-focus
                    placeholder="choose, or type to search"
                    aria-label="Reference"
                >
                    <template #option="{ option }: { option: ReferenceData }">
                        <span class="reference"
                            ><span>{{ option.name }}</span> <b>{{ option.says }}</b></span
                        >
                    </template>
                </Select>
                <div class="dialog-buttons">
                    <Button type="button" label="Not now" text severity="secondary" @click="inserting = null" />
                    <Button type="submit" label="Insert" :disabled="chosen === null" />
                </div>
            </form>
        </Dialog>
        <Dialog v-model:visible="adding" modal header="Another text" :style="{ width: '400px' }">
            <form class="dialog-form" @submit.prevent="add">
                <label for="new-title">Title</label>
                <InputText id="new-title" v-model="fresh.title" size="small" autofocus />
                <p v-if="refused" class="error" role="alert">{{ refused }}</p>
                <span id="new-role">What for</span>
                <Select
                    v-model="fresh.role"
                    :options="ROLES"
                    option-label="label"
                    option-value="value"
                    size="small"
                    aria-labelledby="new-role"
                />
                <span id="new-place">Where</span>
                <Select
                    v-model="fresh.place"
                    :options="PLACES"
                    option-label="label"
                    option-value="value"
                    size="small"
                    aria-labelledby="new-place"
                />
                <div class="dialog-buttons">
                    <Button type="button" label="Not now" text severity="secondary" @click="adding = false" />
                    <Button type="submit" label="Add it" />
                </div>
            </form>
        </Dialog>
    </div>
</template>

<style scoped>
.words {
    display: flex;
    flex-direction: column;
    gap: 6px;
}
label {
    font-weight: 600;
}
.bar {
    display: flex;
    align-items: center;
    gap: 2px;
}
.bar > label:first-child {
    margin-right: 8px;
}
.bar .muted {
    margin-right: auto;
    font-size: 12px;
}
.attach {
    display: grid;
    place-items: center;
    width: 28px;
    height: 28px;
    cursor: pointer;
    color: var(--ink-2);
}
.attach:focus-within {
    outline: 2px solid var(--focus);
}
.foot {
    display: flex;
    justify-content: space-between;
    align-items: center;
}
.both {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 16px;
    margin-top: 8px;
}
.theirs {
    white-space: pre-wrap;
    padding: 6px 8px;
    background: var(--wash);
}
.reference {
    display: flex;
    justify-content: space-between;
    gap: 16px;
    width: 100%;
}
.reference b {
    max-width: 180px;
    overflow: hidden;
    white-space: nowrap;
    text-overflow: ellipsis;
}
</style>
