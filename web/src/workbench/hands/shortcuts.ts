/** Every key of the workbench, for the list and nowhere else twice. */
export const shortcuts: readonly { title: string; keys: readonly (readonly [string, string])[] }[] =
  [
    {
      title: 'Choose',
      keys: [
        ['←', 'the container around'],
        ['→', 'the first thing inside'],
        ['↓ ↑', 'the next, the one before'],
        ['Shift ↓ ↑', 'one more in hand'],
        ['Space', 'keep in hand, and go on choosing'],
        ['Right click', 'which level under the pointer'],
        ['Esc', 'the container around'],
      ],
    },
    {
      title: 'Build',
      keys: [
        ['A', 'add by name'],
        ['L', 'the library: ↓ ↑ try a piece in place'],
        ['Enter', 'edit the words, or go to its fields'],
        ['/', 'find a setting by name'],
        ['Alt ↓ ↑', 'move among its siblings'],
        ['Ctrl D', 'duplicate'],
        ['N', 'one more item of the list'],
        ['Ctrl C, X, V', 'copy, cut, paste'],
        ['R', 'side by side in a row'],
        ['B', 'a box around'],
        ['U', 'take the container away'],
        ['K', 'keep as a piece'],
        ['I', 'into the piece that it comes from, and back'],
        ['M', 'mirror'],
        ['H', 'hide or show at the lead width'],
        ['F2', 'rename'],
        ['Delete', 'remove'],
      ],
    },
    {
      title: 'Look',
      keys: [
        ['1 2 3', 'work at desktop, tablet, phone'],
        ['P', 'true size'],
        ['Ctrl Z', 'undo'],
        ['Ctrl Shift Z', 'redo'],
        ['Ctrl K', 'jump to anything'],
        ['?', 'this list'],
      ],
    },
  ];
