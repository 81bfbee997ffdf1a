'use client';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { ButtonLink } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { Choose, Upload } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Empty } from '@/shell/said';
import { Slip, SlipTitle } from '@/shell/slip';
import { DataTable, LooksLike, useAddressOf } from '@/shell/table';
import type { Column } from '@/shell/table';
import { Sentence } from '@/shell/words';
import { GamutDrawing } from './GamutDrawing';
import { ProfileSlip } from './ProfileSlip';
import type { ProfilesView } from './view';

type Row = ProfilesView['rows'][number];

/** Profiles: what each can do, measured from it, and which paper is printed through it. */
export function ProfilesDrawer(view: ProfilesView) {
  const { rows, picked, beside } = view;
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
            <DataTable
              label="Profiles"
              rows={rows}
              columns={columns}
              id={(r) => r.sha256}
              picked={picked?.sha256 ?? null}
              href={(r) => addressOf({ profile: r.sha256 })}
            />
          )}
          {picked && drawn.length > 0 && (
            <>
              {rows.length > 1 && (
                <div style={{ maxWidth: 330, margin: '12px 0 6px' }}>
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
                </div>
              )}
              <GamutDrawing profiles={drawn} />
            </>
          )}
          <div style={{ maxWidth: 420, marginTop: 14 }}>
            <Upload
              url="/api/profiles"
              accept={['.icc', '.icm']}
              invitation="Drop an ICC profile here: of a printer and paper, a press, or your screen"
              primary={rows.length === 0}
              onDone={() => router.refresh()}
            />
          </div>
        </Surface>
        {picked && row ? (
          <ProfileSlip key={picked.sha256} view={view} picked={picked} row={row} />
        ) : (
          <Slip label="Profile">
            <SlipTitle>The profile library</SlipTitle>
            <Sentence>
              Drop the profiles of your papers: what each can print is then measured, and
              every picture can be seen on it before paper is spent.
            </Sentence>
          </Slip>
        )}
      </Bench>
    </>
  );
}
