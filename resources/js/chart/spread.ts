/**
 * Push rows apart so that none overlaps, each as near as can be to where it belongs, in the same order.
 *
 * Rows that collide are joined to a block whose middle is the mean of the places wanted; blocks that then collide are
 * joined in turn. The result stays between top and bottom as long as the rows fit there at all.
 *
 * @param wanted middle of each row, in ascending order
 */
export function spread(wanted: number[], rowHeight: number, top: number, bottom: number): number[] {
    const blocks: { middle: number; count: number; sum: number }[] = [];
    const clamp = (middle: number, count: number): number => {
        const half = (count * rowHeight) / 2;
        return Math.max(top + half, Math.min(bottom - half, middle));
    };
    for (const place of wanted) {
        let block = { middle: clamp(place, 1), count: 1, sum: place };
        for (let before = blocks.at(-1); before !== undefined && overlaps(before, block); before = blocks.at(-1)) {
            blocks.pop();
            const count = before.count + block.count;
            const sum = before.sum + block.sum;
            block = { middle: clamp(sum / count, count), count, sum };
        }
        blocks.push(block);
    }
    return blocks.flatMap(({ middle, count }) =>
        Array.from({ length: count }, (_, i) => middle + (i - (count - 1) / 2) * rowHeight),
    );

    function overlaps(a: { middle: number; count: number }, b: { middle: number; count: number }): boolean {
        return a.middle + (a.count * rowHeight) / 2 > b.middle - (b.count * rowHeight) / 2 + 1e-6;
    }
}
