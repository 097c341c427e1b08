import { describe, expect, test } from 'vitest';
import { readBuild } from '../model/index.ts';
import { cutList } from './cutList.ts';
import { HarnessLists } from './harnessLists.ts';
import { demoBuilds, sampleCatalogue } from './samples/index.ts';
import { wireList } from './wireList.ts';
import { evaluated } from '../tests/evaluated.ts';

describe.each(demoBuilds.map(({ document }) => [document.name, document] as const))(
  'the lists of %s agree',
  (_, document) => {
    const evaluation = evaluated(document);
    const lists = new HarnessLists({
      evaluation,
      build: readBuild(document),
      catalogue: sampleCatalogue,
    });
    const fromTo = lists.fromTo();
    const byNumber = new Map(fromTo.map((line) => [line.wire, line]));
    const bought = new Set(
      evaluation.led.wires.flatMap(({ wireId, leg }) => (leg ? [wireId] : [])),
    );
    const numbers = new Map(evaluation.electrics.wires.map(({ wire }, i) => [wire.id, i + 1]));

    test('from-to has every wire of the list of wires once, alike in size, colour and length', () => {
      const wires = wireList(evaluation);
      expect(fromTo).toHaveLength(wires.length);
      wires.forEach((wire, i) => {
        const line = byNumber.get(i + 1)!;
        expect(line).toMatchObject({ name: wire.name, size: wire.size, colour: wire.colour });
        expect(line.length).toBe(wire.length);
        expect(line.role).toBe(wire.role);
      });
    });

    test('the cut list has the same wires, less those of looms', () => {
      const cut = cutList(evaluation, {}).filter(({ is }) => is !== 'a piece put in');
      const made = fromTo.filter(({ wire }) => {
        const id = [...numbers].find(([, number]) => number === wire)![0];
        return !bought.has(id);
      });
      expect(cut.map(({ number }) => number).sort((a, b) => a - b)).toEqual(
        made.map(({ wire }) => wire),
      );
      for (const line of cut) {
        const same = byNumber.get(line.number)!;
        expect(line).toMatchObject({ size: same.size, colour: same.colour, length: same.length });
      }
    });

    test('a wire stands in the pin lists at each of its ends that is a cavity, and nowhere else', () => {
      const pins = lists.pins();
      for (const line of pins) {
        if (line.wire === '') {
          expect(line).toMatchObject({ size: '', colour: '', contact: '', leadsTo: '' });
          continue;
        }
        const wire = byNumber.get(line.wire)!;
        expect(line).toMatchObject({ name: wire.name, size: wire.size, colour: wire.colour });
        const here = `${line.plug}, ${line.cavity}`;
        expect([wire.from, wire.to]).toContain(here);
        expect(line.leadsTo).toBe(wire.from === here ? wire.to : wire.from);
      }
      const used = evaluation.harness.connectors.reduce((all, plug) => all + plug.used.length, 0);
      expect(pins.filter(({ wire }) => wire !== '')).toHaveLength(used);
    });

    test('a bundle has the wires that run through it, by the ways of from-to', () => {
      for (const bundle of lists.bundles()) {
        const through = fromTo.filter(({ via }) => via.split(' > ').includes(bundle.segment));
        expect(bundle.wires).toBe(through.length);
        expect(bundle.numbers).toBe(through.map(({ wire }) => wire).join(' '));
      }
    });

    test('a joint has its wires, and the sleeve that is on the parts list', () => {
      const joints = lists.joints();
      const splices = evaluation.electrics.netlist.parts.filter(({ sort }) => sort === 'splice');
      const pieces = cutList(evaluation, {}).filter(({ is }) => is === 'a piece put in');
      expect(joints).toHaveLength(splices.length + pieces.length);
      const needed = evaluation.parts.parts
        .filter(({ item }) => item.category === 'plug-part' && item.form === 'splice')
        .reduce((all, { quantity }) => all + quantity, 0);
      expect(joints.filter(({ sleeve }) => sleeve !== '')).toHaveLength(needed);
      for (const { wires } of joints.slice(0, splices.length)) {
        expect(wires.split(' ').length).toBeGreaterThan(1);
      }
    });

    test('every contact of the pin lists is on the parts list, less what is kept and what is bought', () => {
      const { devices, controllers } = readBuild(document);
      const kept = new Set(
        [...devices, ...controllers].flatMap(({ id, state }) => (state === 'kept' ? [id] : [])),
      );
      const crimped = new Set(
        fromTo
          .filter(({ wire }) => ![...bought].some((id) => numbers.get(id) === wire))
          .map(({ wire }) => wire),
      );
      const ofNew = new Set(
        evaluation.harness.connectors.flatMap(({ name, partId }) =>
          kept.has(partId) ? [] : [name],
        ),
      );
      const listed = new Map<string, number>();
      for (const { plug, wire, contact } of lists.pins()) {
        if (wire === '' || !crimped.has(wire) || !ofNew.has(plug)) continue;
        listed.set(contact, (listed.get(contact) ?? 0) + 1);
      }
      const counted = new Map<string, number>();
      for (const { item, quantity } of evaluation.harness.ends.parts) {
        if (item.form !== 'contact' || item.plugFamily === 'blade 6.3') continue;
        counted.set(item.designation, (counted.get(item.designation) ?? 0) + quantity);
      }
      expect([...listed].sort()).toEqual([...counted].sort());
    });

    test('two labels stand for every wire, each the other way round', () => {
      const labels = lists.labels();
      expect(labels).toHaveLength(2 * fromTo.length);
      const parts = new Set(evaluation.electrics.netlist.parts.map(({ id }) => id));
      for (const label of labels) {
        const { from, to } = byNumber.get(label.wire)!;
        const asEnds = [label.at, label.leadsTo].map((text) => {
          const [pin, ...name] = text.split(' · ');
          return name.length === 0 ? text : `${name.join(' · ')}, ${pin}`;
        });
        expect(asEnds).toEqual(label.end === 1 ? [from, to] : [to, from]);
        expect(parts.has(label.partId)).toBe(true);
      }
    });
  },
);
