/** Names and advice for the sources of uncertainty, in shop words. Keys are the ids used in `Uncertain.parts`. */
export const SOURCES: Readonly<Record<string, { label: string; advice: string }>> = {
  'top girth': { label: 'top girth reading', advice: 'Measure the top girth again, or with finer marks.' },
  'foot girth': { label: 'foot girth reading', advice: 'Measure the foot girth again, or with finer marks.' },
  'height reading': { label: 'height reading', advice: 'Measure the straight wall again with a steel rule.' },
  'tape thickness': {
    label: 'tape thickness',
    advice: 'Measure your tape’s thickness with a caliper, or use a paper strip.',
  },
  'paper thickness': { label: 'paper thickness', advice: 'Measure a stack of ten sheets and divide.' },
  'print scale': {
    label: 'print scale',
    advice: 'Print the ruler bar, measure it, and type it in Settings.',
  },
  trim: { label: 'knife', advice: 'Cut with a steel rule and a fresh blade.' },
  placement: { label: 'placing by hand', advice: 'Pencil the meeting line on the blank before taping.' },
  'maker’s figure': { label: 'maker’s figure', advice: 'Measure the blank: a catalogue figure is rounded.' },
};
