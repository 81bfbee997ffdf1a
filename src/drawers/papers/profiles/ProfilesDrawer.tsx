'use client';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import styled from 'styled-components';
import { ButtonLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { Choose, Upload } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Empty } from '@/shell/said';
import { Slip, SlipTitle } from '@/shell/slip';
import { DataTable, LooksLike, useAddressOf } from '@/shell/table';
import type { Column } from '@/shell/table';
import { Sentence, Small } from '@/shell/words';
import { GamutDrawing } from './GamutDrawing';
import { ProfileSlip } from './ProfileSlip';
import type { ProfilesView } from './view';

/** A list above the drawings: as high as there is room, some lines at least. */
const Listed = styled.div`
  display: flex;
  flex-direction: column;
  flex: 1 1 170px;
  min-height: 150px;
  max-height: 330px;
`;

const Beside = styled.div`
  display: flex;
  align-items: center;
  gap: 12px;
  margin: 10px 0 4px;
  max-width: 470px;
  span {
    white-space: nowrap;
    font-size: 13px;
  }
`;

type Row = ProfilesView['rows'][number];

/** Profiles: what each can do, measured from it, and which paper is printed through it. */
export function ProfilesDrawer(view: ProfilesView) {
  const { rows, picked, beside, bringing } = view;
  const format = useFormat();
  const router = useRouter();
  const addressOf = useAddressOf();
  const columns = useMemo<Column<Row>[]>(
    () => [
      {
        key: 'name',
        head: 'Profile',
        value: (r) => r.name,
        cell: (r) => (
          <span style={{ font: "400 16px/1.3 'Newsreader', serif" }}>{r.name}</span>
        ),
      },
      {
        key: 'uses',
        head: 'Paper, printer',
        value: (r) => r.uses.map((u) => u.paper).join(', '),
        cell: (r) =>
          r.uses
            .map((u) => (u.printer ? `${u.paper}, ${u.printer}` : u.paper))
            .join('; ') || 'none',
      },
      { key: 'space', head: 'Colours', value: (r) => r.space },
      {
        key: 'at',
        head: 'Taken',
        value: (r) => r.at,
        cell: (r) => format.day(r.at),
        figure: true,
      },
    ],
    [format],
  );
  const drawn = [picked, beside].flatMap((p) =>
    p?.portrait ? [{ name: p.name, shape: p.portrait.shape }] : [],
  );
  const row = rows.find((r) => r.sha256 === picked?.sha256);
  return (
    <>
      <DrawerHead title="Profiles" sum={`${rows.length} in the library`}>
        <ButtonLink $plain href="/papers">
          Papers
        </ButtonLink>
        <ButtonLink href={addressOf({ bring: '1' })}>Bring a profile</ButtonLink>
      </DrawerHead>
      <Bench>
        <Surface>
          {rows.length === 0 ? (
            <Empty title="No profile yet">
              <p>
                A profile says what a printer makes of numbers on one paper. The paper’s
                maker or whoever prints gives it out.
              </p>
              <LooksLike
                heads={['Profile', 'Paper, printer', 'Colours']}
                rows={[
                  ['A cotton paper, heavy matte', 'A cotton paper, own printer', 'RGB'],
                  ['A press, coated', 'none', 'CMYK'],
                ]}
              />
            </Empty>
          ) : (
            <Listed>
              <DataTable
                label="Profiles"
                rows={rows}
                columns={columns}
                id={(r) => r.sha256}
                picked={bringing ? null : (picked?.sha256 ?? null)}
                href={(r) => addressOf({ profile: r.sha256, bring: null })}
              />
            </Listed>
          )}
          {picked && drawn.length > 0 && (
            <>
              {rows.length > 1 && (
                <Beside>
                  <span>Drawn over it, in blue</span>
                  <Choose
                    label="Drawn over it, in blue"
                    value={beside?.sha256 ?? ''}
                    options={[
                      ['', 'no other'],
                      ...rows
                        .filter((r) => r.sha256 !== picked.sha256)
                        .map((r) => [r.sha256, r.name] as const),
                    ]}
                    onChange={(sha) => router.replace(addressOf({ beside: sha || null }))}
                  />
                </Beside>
              )}
              <GamutDrawing profiles={drawn} />
            </>
          )}
        </Surface>
        {picked && row && !bringing ? (
          <ProfileSlip key={picked.sha256} view={view} picked={picked} row={row} />
        ) : (
          <Slip label="Profile">
            <SlipTitle>Bring a profile</SlipTitle>
            <Sentence>
              Drop the profiles of your papers: what each can print is then measured, and
              every picture can be seen on it before paper is spent.
            </Sentence>
            <Upload
              url="/api/profiles"
              accept={['.icc', '.icm']}
              invitation="An ICC profile of a printer and paper, of a press, or of your screen"
              primary
              onDone={() => router.push('/papers/profiles')}
            />
            <Small>Dropping it anywhere on the page does the same.</Small>
          </Slip>
        )}
      </Bench>
    </>
  );
}
