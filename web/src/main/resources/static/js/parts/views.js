// The views of the performer: which drawing, what of it is shown where, and what its zones are called there.

export const VIEWS = {
  front: { name: 'front', file: 'bust-front', box: '150 30 4200 4300', close: '760 10 2980 3560' },
  // what stands beside a figure that is pressed would lie on a nose, a hand or a lip
  left: { name: 'left', file: 'bust-left', box: '0 30 2640 4300', close: '-170 10 2980 3560', press: '-750 10 3860 4610' },
  right: { name: 'right', file: 'bust-right', box: '0 30 2640 4300', close: '-170 10 2980 3560', press: '-470 10 3860 4610' },
  back: {
    name: 'back',
    file: 'bust-back',
    box: '150 30 4200 4300',
    close: '760 10 2980 3560',
    zones: { 'ear-left': 'behind-ear-left', 'ear-right': 'behind-ear-right' },
  },
  'three-quarter': {
    name: '¾',
    says: 'three-quarter',
    file: 'bust-three-quarter',
    box: '150 30 4200 4300',
    close: '820 10 2980 3560',
    press: '440 10 3620 4325',
  },
  hands: { name: 'hands', file: 'hand-back', box: '-1400 -300 2900 2800', press: '-1830 -1150 3760 3700', zones: { 'hand-back': 'hand', nails: 'nails' } },
  body: { name: 'body', file: 'body-front', box: '-200 -60 1920 3650', zones: { chest: 'lower-chest', head: null } },
  'body-back': { name: 'rear', says: 'rear: body from behind', file: 'body-back', box: '-200 -60 1920 3650', zones: { back: 'lower-back', head: null } },
  mouth: { name: 'mouth', file: 'mouth-open', box: '-200 -100 1620 1620', press: '-480 -100 2180 2180', zones: { lips: 'mouth' } },
};

// zones that the front does not show: a figure that opens with one of them pressed is turned to it
export const ONLY_IN = {
  'hand-left': 'hands',
  'hand-right': 'hands',
  'nails-left': 'hands',
  'nails-right': 'hands',
  'back-of-head': 'back',
  'upper-back': 'back',
  'behind-ear-left': 'back',
  'behind-ear-right': 'back',
  'teeth-upper': 'mouth',
  'teeth-lower': 'mouth',
  'lower-back': 'body-back',
};
for (const part of ['lower-chest', 'belly', ...['upper-arm', 'forearm', 'thigh', 'shin', 'foot'].flatMap((z) => [`${z}-left`, `${z}-right`])])
  ONLY_IN[part] = 'body';
