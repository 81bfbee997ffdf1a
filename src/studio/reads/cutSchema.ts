const number = { type: 'number' };
const id = { type: 'string', minLength: 1, maxLength: 120 };
const size = {
  type: 'object',
  required: ['width', 'height'],
  properties: { width: number, height: number },
  additionalProperties: false,
};

/** What a job of the command line looks like; what its numbers may be is judged after. */
export const CUT_SCHEMA = {
  type: 'object',
  required: ['pieces', 'stock'],
  additionalProperties: false,
  properties: {
    pieces: {
      type: 'array',
      items: {
        type: 'object',
        required: ['id', 'width', 'height'],
        additionalProperties: false,
        properties: {
          id,
          width: number,
          height: number,
          count: number,
          mayTurn: { type: 'boolean' },
          group: id,
          due: number,
        },
      },
    },
    stock: {
      type: 'array',
      items: {
        type: 'object',
        required: ['id', 'kind', 'width'],
        properties: { kind: { enum: ['sheet', 'roll'] } },
        if: { properties: { kind: { const: 'sheet' } } },
        then: {
          required: ['height', 'count'],
          additionalProperties: false,
          properties: {
            id,
            kind: {},
            width: number,
            height: number,
            count: number,
            price: number,
            leftOver: { type: 'boolean' },
            deckle: number,
          },
        },
        else: {
          required: ['length'],
          additionalProperties: false,
          properties: {
            id,
            kind: {},
            width: number,
            length: number,
            count: number,
            price: number,
          },
        },
      },
    },
    margin: {
      type: 'object',
      additionalProperties: false,
      properties: { left: number, right: number, top: number, bottom: number },
    },
    gutter: number,
    trim: number,
    school: { enum: ['printThenCut', 'cutThenPrint'] },
    longestCut: number,
    largestSheet: size,
    keepFrom: size,
    dueFirst: { type: 'boolean' },
    begun: {
      type: 'array',
      items: {
        type: 'object',
        required: ['stock'],
        additionalProperties: false,
        properties: { stock: id, length: number },
      },
    },
    holds: {
      type: 'array',
      items: {
        type: 'object',
        required: ['piece', 'copy', 'sheet'],
        additionalProperties: false,
        properties: {
          piece: id,
          copy: number,
          sheet: number,
          x: number,
          y: number,
          turned: { type: 'boolean' },
        },
      },
    },
  },
};
