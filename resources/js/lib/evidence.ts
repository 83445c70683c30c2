import { computed, ref, watch, type Ref } from 'vue';
import type { ChartMark } from '@/chart/lines';
import type { FoundLevelData, LadderRowData, LevelSheetData, TouchData, WorkbenchData } from '@/types/data';
import { send } from './http';

/** How long a row must stay chosen before its evidence is asked for: a walk along the ladder asks for none. */
const REST = 120;

const words = { held: 'held', broke: 'broke', role_change: 'held in its other role' };

/** The evidence of the chosen level, own or found, and its touches as marks of the chart. */
export function useEvidence(bench: Ref<WorkbenchData>, chosen: Ref<LadderRowData | null>, query: Ref<string>) {
    const sheet = ref<LevelSheetData | null>(null);
    const found = ref<Map<string, FoundLevelData> | null>(null);
    let resting: number | undefined;
    let asked = 0;

    watch(query, () => (found.value = null));
    watch(
        [chosen, bench, query],
        () => {
            window.clearTimeout(resting);
            const row = chosen.value;
            if (row?.levelId !== sheet.value?.id) {
                sheet.value = null;
            }
            if (row?.kind === 'level' || row?.kind === 'found') {
                resting = window.setTimeout(() => void read(row), REST);
            }
        },
        { immediate: true },
    );

    async function read(row: LadderRowData): Promise<void> {
        const base = `/plan/mark/${bench.value.candidate.id}`;
        const turn = ++asked;
        try {
            if (row.kind === 'level') {
                const next = await send<LevelSheetData>('GET', `${base}/levels/${row.levelId}`);
                if (turn === asked) {
                    sheet.value = next;
                }
            } else if (found.value === null) {
                const all = await send<FoundLevelData[]>('GET', `${base}/cross-check${query.value}`);
                if (turn === asked) {
                    found.value = new Map(all.map((one) => [one.key, one]));
                }
            }
        } catch {
            // the level is gone meanwhile, or the server cannot be reached: the next choice asks again
        }
    }

    const evidence = computed(() => (chosen.value?.kind === 'found' ? (found.value?.get(chosen.value.key) ?? null) : null));
    const touches = computed<TouchData[]>(() => {
        const row = chosen.value;
        if (row?.kind === 'level') {
            return sheet.value?.id === row.levelId ? sheet.value.touches : [];
        }
        return evidence.value?.touches ?? [];
    });
    const marks = computed<ChartMark[]>(() =>
        touches.value.map((touch) => ({
            session: touch.session,
            value: touch.value,
            kind: touch.kind,
            label: `${touch.date}: ${words[touch.kind]}`,
        })),
    );

    return { sheet, evidence, marks };
}
