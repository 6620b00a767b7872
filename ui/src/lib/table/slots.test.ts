import { expect, test } from 'vitest';
import type { ControlTool } from '$lib/api/client';
import {
  found,
  headOf,
  inOrder,
  prefixOf,
  slotCount,
  span,
  valueOf,
  type ToolClassColumns
} from './slots';

function column(field: string, title: string, wear?: string, unit = 'mm') {
  return { field, title, wear, unit, meaning: '', measured: unit !== '' };
}

const mill: ToolClassColumns = {
  id: 'end-mill',
  title: 'end mill',
  columns: [
    column('length', 'length', 'lengthWear'),
    column('diameter', 'radius', 'diameterWear'),
    column('edges', 'number of edges', undefined, '')
  ]
};
const turning: ToolClassColumns = {
  id: 'turning',
  title: 'turning tool',
  columns: [column('x', 'X as a diameter', 'xWear'), column('z', 'Z', 'zWear')]
};

function tool(place: string, number: string, classId: string, values = {}): ControlTool {
  return {
    place,
    number,
    classId,
    neededFor: {},
    values,
    code: `T-${place}`,
    name: 'tool ' + place,
    toolId: 1,
    state: 'in step'
  };
}

test('the head of a column says what its number means for tools of the class', () => {
  expect(slotCount([mill, turning])).toBe(3);
  expect(headOf(mill, 1)).toBe('Radius, mm');
  expect(headOf(mill, 2)).toBe('Number of edges');
  expect(headOf(turning, 1)).toBe('Z, mm');
  expect(headOf(turning, 0)).toBe('X ⌀, mm');
  expect(headOf(turning, 2)).toBe('');
});

test('geometry and wear stand apart', () => {
  const worn = tool('5', '7', 'end-mill', {
    length: '120.012',
    lengthWear: '-0.020',
    diameterWear: '0.000'
  });
  expect(valueOf(worn, mill.columns[0])).toEqual(['120.012', '-0.020']);
  expect(valueOf(worn, mill.columns[1])).toEqual(['–', '0']);
  expect(valueOf(tool('5', '7', 'x', { x: '1', xWear: '0.01' }), turning.columns[0])).toEqual([
    '1',
    '+0.01'
  ]);
});

test('a number under the head of another one says what it is', () => {
  expect(prefixOf(turning.columns[0], mill, 0)).toBe('X ⌀');
  expect(prefixOf(turning.columns[1], mill, 1)).toBe('Z');
  expect(prefixOf(mill.columns[1], mill, 1)).toBe('');
  expect(prefixOf(undefined, mill, 1)).toBe('');
});

test('tools stand by place, by number or by class', () => {
  const tools = [tool('2', '10', 'turning'), tool('10', '9', 'end-mill'), tool('', '9', 'turning')];
  const titles = new Map([mill, turning].map(({ id, title }) => [id, title]));
  const places = (by: 'place' | 'class' | 'number') =>
    inOrder(tools, by, titles).map(({ place }) => place);
  expect(places('place')).toEqual(['2', '10', '']);
  expect(places('number')).toEqual(['10', '', '2']);
  expect(places('class')).toEqual(['10', '2', '']);
});

test('tools are found by their code, name, number or place', () => {
  const tools = [tool('2', '10', 'turning'), tool('7', '55', 'turning')];
  expect(found(tools, 'tool 55').map(({ place }) => place)).toEqual(['7']);
  expect(found(tools, '  ')).toHaveLength(2);
  expect(found(tools, 'nothing')).toHaveLength(0);
});

test('a range of one is written once', () => {
  expect(span(601, 606)).toBe('601–606');
  expect(span('L2', 'L2')).toBe('L2');
});
