'use client';
import { useRouter } from 'next/navigation';
import styled from 'styled-components';
import { ButtonLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { Choose } from '@/shell/fields';
import { DrawerHead } from '@/shell/frame';
import { Link } from '@/shell/link';
import { Empty } from '@/shell/said';
import { Slip, SlipTitle } from '@/shell/slip';
import { SlipTable, useAddressOf } from '@/shell/table';
import { SectionLabel, Small } from '@/shell/words';
import { OnPaper } from './OnPaper';
import { PLACES } from './places';
import { useRows } from './useRows';
import type { CompareView } from './view';

const Sides = styled(SlipTable)`
  table-layout: fixed;
  td,
  th {
    vertical-align: top;
    white-space: normal;
  }
  td:not(:first-child),
  th:not(:first-child) {
    text-align: left;
    padding-left: 14px;
  }
  td b {
    font-weight: 600;
  }
`;

/** Two or three papers side by side, drawn to one scale, with a picture as it prints on each. */
export function CompareDrawer(view: CompareView) {
  const { papers, all, works, work, picture, size, sizes } = view;
  const router = useRouter();
  const addressOf = useAddressOf();
  const rows = useRows(papers, size.label);
  const now = PLACES.map((_, i) => String(papers[i]?.id ?? ''));
  const put = (place: number, id: string) =>
    router.replace(
      addressOf(
        Object.fromEntries(PLACES.map((p, i) => [p, (i === place ? id : now[i]) || null])),
      ),
    );
  return (
    <>
      <DrawerHead title="Papers side by side" sum={papers.map((p) => p.name).join(', ')}>
        <ButtonLink $plain href="/papers">
          Papers
        </ButtonLink>
      </DrawerHead>
      <Bench>
        <Surface>
          {papers.length === 0 ? (
            <Empty title="No paper yet">
              <p>Describe two papers first: here they lie side by side.</p>
            </Empty>
          ) : (
            <Sides aria-label="Papers side by side">
              <thead>
                <tr>
                  <th style={{ width: 128 }}> </th>
                  {papers.map((p) => (
                    <th key={p.id}>
                      <Link
                        href={`/papers?paper=${p.id}`}
                        style={{ font: "400 17px/1.2 'Newsreader', serif" }}
                      >
                        {p.name}
                      </Link>
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {picture && (
                  <tr>
                    <td>{work?.title}, as it prints</td>
                    {papers.map((p) => (
                      <td key={p.id}>
                        <OnPaper paper={p} picture={picture} title={work?.title ?? ''} />
                      </td>
                    ))}
                  </tr>
                )}
                {rows.map(([name, of]) => (
                  <tr key={name}>
                    <td>{name}</td>
                    {papers.map((p) => (
                      <td key={p.id}>{of(p)}</td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </Sides>
          )}
        </Surface>
        <Slip label="What is compared">
          <SlipTitle>What is compared</SlipTitle>
          <SectionLabel>Papers</SectionLabel>
          {PLACES.map((place, i) => (
            <Choose
              key={place}
              label={`${['First', 'Second', 'Third'][i]} paper`}
              value={now[i] ?? ''}
              options={[
                ...(i < 2 ? [] : [['', 'no third'] as [string, string]]),
                ...all.map((p) => [String(p.id), p.name] as [string, string]),
              ]}
              onChange={(id) => put(i, id)}
            />
          ))}
          <SectionLabel>A picture on them</SectionLabel>
          <Choose
            label="Picture"
            value={String(work?.id ?? '')}
            options={[
              ['', 'without a picture'],
              ...works.map((w) => [String(w.id), w.title] as [string, string]),
            ]}
            onChange={(id) => router.replace(addressOf({ work: id || null }))}
          />
          <SectionLabel>Size of a print</SectionLabel>
          <Choose
            label="Size of a print"
            value={size.key}
            options={sizes.map((s) => [s.key, s.label])}
            onChange={(key) => router.replace(addressOf({ size: key }))}
          />
          <Small>
            Whites, blacks and gamuts are measured from the profile that each paper is
            printed through; the picture is shown by it, relative colorimetric, with the
            white of the paper. Bold: the deepest black, the largest gamut, the least cost.
          </Small>
          {papers.some((p) => !p.profile) && (
            <Small>
              Of a paper without a profile neither white nor colours are known:{' '}
              <Link href="/papers/profiles?bring=1">bring one</Link>.
            </Small>
          )}
        </Slip>
      </Bench>
    </>
  );
}
