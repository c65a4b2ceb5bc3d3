import type { Blank } from '../shop/blank';
import { discOf, flatBlank as flat, hole, plainOutline, rectangle, slot } from './make';

const CLEAR = { stock: 'clear', colour: '#f1f6f6' } as const;

const METAL: readonly Blank[] = [
  flat(
    'panel-200-300',
    'aluminium panel 200 × 300',
    'metal panel',
    rectangle(200, 300, 3),
    'aluminium',
    1.1,
    {
      film: true,
      finish: ['hanger, level and centred'],
      needs: ['float hanger'],
    },
  ),
  flat(
    'panel-400-600',
    'aluminium panel 400 × 600',
    'metal panel',
    rectangle(400, 600, 3),
    'aluminium',
    1.1,
    {
      film: true,
      finish: ['hanger, level and centred'],
      needs: ['float hanger'],
    },
  ),
  flat('panel-round-300', 'aluminium panel, round 300', 'metal panel', discOf(300), 'aluminium', 1.1, {
    film: true,
    finish: ['hanger'],
    needs: ['float hanger'],
  }),
  flat(
    'panel-arch-200-280',
    'aluminium panel, arched 200 × 280',
    'metal panel',
    plainOutline('arch', 200, 280),
    'aluminium',
    1.1,
    {
      film: true,
      needs: ['easel'],
    },
  ),
  flat('name-plate-80-50', 'aluminium name plate 80 × 50', 'badge', rectangle(80, 50, 4), 'aluminium', 0.6, {
    film: true,
    finish: ['pin or magnet on the back'],
    needs: ['pin or magnet'],
  }),
  flat('badge-oval', 'oval badge 70 × 45', 'badge', plainOutline('oval', 70, 45), 'aluminium', 0.6, {
    film: true,
    needs: ['pin or magnet'],
  }),
  flat('steel-sheet-150-200', 'steel sheet 150 × 200', 'steel sheet', rectangle(150, 200, 4), 'steel', 1, {
    cautions: ['Stains bench pads and stays hot: a clean heat mat under it.'],
    needs: ['magnets'],
  }),
  flat(
    'licence-plate',
    'aluminium plate 300 × 150, four slots',
    'metal panel',
    rectangle(300, 150, 12),
    'aluminium',
    0.6,
    {
      film: true,
      holes: [slot(50, 10, 14, 7), slot(250, 10, 14, 7), slot(50, 140, 14, 7), slot(250, 140, 14, 7)],
    },
  ),
  flat('opener-bar', 'bar opener, steel', 'opener', rectangle(40, 178, 20), 'steel', 1.5, {
    edge: 'plain',
    faces: 2,
    holes: [slot(20, 30, 22, 34), hole(20, 164, 8)],
    film: true,
  }),
  flat('opener-key', 'key opener, steel', 'opener', rectangle(32, 90, 8), 'steel', 2, {
    holes: [slot(16, 22, 18, 22), hole(16, 82, 5)],
    finish: ['split ring'],
    needs: ['split ring'],
  }),
  flat('pet-tag-bone', 'pet tag, disc 32', 'tag', plainOutline('lugged disc', 32, 38), 'aluminium', 1, {
    faces: 2,
    holes: [hole(16, 4, 3)],
    finish: ['split ring'],
    needs: ['split ring'],
  }),
  flat('luggage-tag', 'luggage tag 60 × 100', 'tag', plainOutline('tag', 60, 100), 'aluminium', 1, {
    faces: 2,
    holes: [slot(30, 10, 14, 4)],
    finish: ['strap'],
    needs: ['strap'],
  }),
  flat('tray-steel-round', 'round steel tray 330', 'tray', discOf(300), 'steel', 0.8, {
    cautions: ['Only the flat floor is pressed; the rim stands outside the platen or it bends.'],
  }),
  flat(
    'ornament-aluminium-disc',
    'disc ornament, aluminium',
    'ornament',
    plainOutline('lugged disc', 76, 84),
    'aluminium',
    1,
    {
      faces: 2,
      holes: [hole(38, 5, 3.5)],
      film: true,
      finish: ['ribbon'],
      needs: ['ribbon'],
    },
  ),
];

const BOARD: readonly Blank[] = [
  flat('hardboard-panel-200-250', 'hardboard panel 200 × 250', 'board', rectangle(200, 250), 'hardboard', 3, {
    edge: 'rough',
    finish: ['easel or hanger'],
    needs: ['easel'],
  }),
  flat('hardboard-coaster', 'hardboard coaster 95', 'coaster', rectangle(95, 95, 6), 'hardboard', 3, {
    finish: ['cork back'],
    needs: ['cork'],
  }),
  flat('hardboard-coaster-round', 'hardboard coaster, round 95', 'coaster', discOf(95), 'hardboard', 3, {
    needs: ['cork'],
  }),
  flat('placemat', 'hardboard place mat 290 × 200', 'board', rectangle(290, 200, 8), 'hardboard', 3, {
    needs: ['cork'],
  }),
  flat('clipboard', 'clipboard 230 × 320', 'board', rectangle(230, 320, 10), 'hardboard', 3, {
    faces: 2,
    takeOff: ['clip'],
    holes: [hole(95, 22, 5), hole(135, 22, 5)],
    finish: ['clip'],
  }),
  flat('puzzle-a4', 'card puzzle 280 × 190', 'board', rectangle(280, 190, 4), 'hardboard', 2, {
    coating: { finish: 'textured' },
    cautions: ['Pieces shift if it is lifted hot: peel cold.'],
  }),
  flat('plaque-200-250', 'award plaque 200 × 250, 16 mm', 'plaque', rectangle(200, 250, 2), 'hardboard', 16, {
    cautions: ['Thick: set the opening of the press with it in place, cold.'],
    finish: ['keyhole hanger'],
  }),
  flat(
    'plaque-arch',
    'arched plaque 180 × 230, 12 mm',
    'plaque',
    plainOutline('arch', 180, 230),
    'hardboard',
    12,
    {
      needs: ['easel'],
    },
  ),
  flat('photo-block', 'photo block 100 × 150, 25 mm', 'plaque', rectangle(100, 150, 2), 'hardboard', 25, {}),
  flat(
    'ornament-star',
    'star ornament, hardboard',
    'ornament',
    plainOutline('star', 84, 80),
    'hardboard',
    3,
    {
      faces: 2,
      holes: [hole(42, 10, 3.5)],
      finish: ['ribbon'],
      needs: ['ribbon'],
    },
  ),
  flat(
    'ornament-heart',
    'heart ornament, hardboard',
    'ornament',
    plainOutline('heart', 78, 72),
    'hardboard',
    3,
    {
      faces: 2,
      holes: [hole(39, 20, 3.5)],
      finish: ['ribbon'],
      needs: ['ribbon'],
    },
  ),
  flat('clock-round-200', 'wall clock face, round 200', 'clock', discOf(200), 'hardboard', 3, {
    takeOff: ['clockwork and hands'],
    holes: [hole(100, 100, 8)],
    finish: ['clockwork, washer and nut', 'hands at twelve', 'battery'],
    needs: ['clockwork', 'hands', 'battery'],
  }),
  flat('key-ring-oval', 'oval key ring, hardboard', 'tag', plainOutline('oval', 36, 58), 'hardboard', 3, {
    faces: 2,
    holes: [hole(18, 7, 4)],
    needs: ['split ring'],
  }),
];

const PLASTIC: readonly Blank[] = [
  flat('frp-panel-200-300', 'FRP panel 200 × 300', 'FRP', rectangle(200, 300, 6), 'FRP', 2.3, {
    faces: 2,
    edge: 'coated',
  }),
  flat('frp-bag-tag', 'FRP bag tag 55 × 90', 'FRP', rectangle(55, 90, 8), 'FRP', 2.3, {
    faces: 2,
    holes: [slot(27.5, 9, 14, 4)],
    needs: ['strap'],
  }),
  flat(
    'frp-ornament-hexagon',
    'hexagon ornament, FRP',
    'ornament',
    plainOutline('hexagon', 82, 71),
    'FRP',
    2.3,
    {
      faces: 2,
      holes: [hole(41, 6, 3.5)],
      finish: ['ribbon'],
      needs: ['ribbon'],
    },
  ),
  flat('acrylic-badge', 'acrylic badge 75 × 50, clear', 'acrylic', rectangle(75, 50, 5), 'acrylic', 2, {
    coating: CLEAR,
    film: true,
    needs: ['pin or magnet', 'white backing'],
  }),
  flat('acrylic-block', 'acrylic photo stand 120 × 160', 'acrylic', rectangle(120, 160, 4), 'acrylic', 4, {
    coating: CLEAR,
    film: true,
    needs: ['foot'],
  }),
  flat(
    'acrylic-key-ring',
    'acrylic key ring, disc 50',
    'tag',
    plainOutline('lugged disc', 50, 58),
    'acrylic',
    3,
    {
      coating: CLEAR,
      film: true,
      holes: [hole(25, 5, 3.5)],
      needs: ['split ring'],
    },
  ),
  flat('acrylic-clock', 'acrylic clock face 200 × 200', 'clock', rectangle(200, 200, 12), 'acrylic', 3, {
    coating: { finish: 'gloss' },
    film: true,
    takeOff: ['clockwork and hands'],
    holes: [hole(100, 100, 8)],
    needs: ['clockwork', 'hands', 'battery'],
  }),
];

const STONE: readonly Blank[] = [
  flat('slate-coaster', 'slate coaster 100', 'slate', rectangle(100, 100), 'slate', 5, {
    edge: 'rough',
    coating: { finish: 'textured', colour: '#efeeea' },
    finish: ['felt feet'],
    needs: ['felt feet'],
  }),
  flat('slate-plaque-200-150', 'slate plaque 200 × 150', 'slate', rectangle(200, 150), 'slate', 8, {
    edge: 'rough',
    coating: { finish: 'textured', colour: '#efeeea' },
    needs: ['stand'],
  }),
  flat(
    'slate-trail-marker',
    'slate trail marker 150 × 90, drilled',
    'slate',
    rectangle(150, 90),
    'slate',
    7,
    {
      edge: 'rough',
      coating: { finish: 'textured', colour: '#efeeea' },
      holes: [hole(12, 45, 6), hole(138, 45, 6)],
      needs: ['screws and caps'],
    },
  ),
  flat('slate-heart', 'slate heart 120 × 110', 'slate', plainOutline('heart', 120, 110), 'slate', 6, {
    edge: 'rough',
    coating: { finish: 'textured', colour: '#efeeea' },
    needs: ['cord'],
  }),
  flat('slate-oval', 'slate oval 180 × 120', 'slate', plainOutline('oval', 180, 120), 'slate', 7, {
    edge: 'rough',
    coating: { finish: 'textured', colour: '#efeeea' },
    needs: ['stand'],
  }),
  flat('tile-108', 'ceramic tile 108', 'tile', rectangle(108, 108, 1), 'ceramic', 6, {
    edge: 'coated',
    finish: ['felt feet, or cork'],
  }),
  flat('tile-152', 'ceramic tile 152', 'tile', rectangle(152, 152, 1), 'ceramic', 7, { edge: 'coated' }),
  flat('tile-150-200', 'ceramic tile 150 × 200', 'tile', rectangle(150, 200, 1), 'ceramic', 8, {
    edge: 'coated',
  }),
  flat('coaster-ceramic-round', 'ceramic coaster, round 98', 'coaster', discOf(98), 'ceramic', 7, {
    needs: ['cork'],
  }),
  flat('ornament-ceramic-disc', 'ceramic disc ornament', 'ornament', discOf(72), 'ceramic', 3.5, {
    holes: [hole(36, 6, 4)],
    finish: ['ribbon'],
    needs: ['ribbon'],
  }),
];

export const FLAT_LIBRARY: readonly Blank[] = [...METAL, ...BOARD, ...PLASTIC, ...STONE];
