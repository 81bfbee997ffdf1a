'use client';
import styled from 'styled-components';
import { Button, DownloadLink, useAction, useActionForm } from '@/shell/actions';
import { Bench, Surface } from '@/shell/bench';
import { EnterForm, Field } from '@/shell/fields';
import { useFormat } from '@/shell/figures';
import { DrawerHead } from '@/shell/frame';
import { Empty, Problem } from '@/shell/said';
import { JobLine } from '@/shell/running';
import { FactList, Figures, Slip, SlipTitle } from '@/shell/slip';
import { SlipTable } from '@/shell/table';
import { Sentence, Small, TableHead } from '@/shell/words';
import { GoBack } from './GoBack';
import { Part } from './parts';
import { checkStore, makeBackup, setBackupFolder } from './actions';
import { UnnamedFiles } from './UnnamedFiles';
import type { SafekeepingView } from './view';
import { backupSentence, checkWords, megabytes } from './words';
import { placeForm } from './placeForm';

const Lost = styled.ul`
  display: grid;
  gap: 3px;
  color: var(--brick);
`;

/** Your data: where it lies, its backups, and whether every file is still what it was. */
export function SafekeepingDrawer(view: SafekeepingView) {
  const { home, folder, sameDisk, stored, last, daysOld, backups, check } = view;
  const format = useFormat();
  const backup = useAction(makeBackup);
  const checking = useAction(checkStore);
  const place = useActionForm(
    setBackupFolder,
    { folder: view.chosenFolder },
    { done: 'Backups go there from now on.' },
  );
  const found = check && checkWords(check, format);
  return (
    <>
      <DrawerHead title="Your data" sum={home}>
        <DownloadLink $plain href="/api/export" download>
          All tables as CSV and JSON
        </DownloadLink>
        <Button $plain onPress={() => checking.run({})} isDisabled={checking.sending}>
          Check every file
        </Button>
      </DrawerHead>
      <Bench>
        <Surface style={{ gap: 22 }}>
          <Part>
            <TableHead>Backups</TableHead>
            {view.making && <JobLine job={view.making} what="Making a backup" />}
            {backups.length === 0 && !view.making ? (
              <Empty title="There is no backup yet">
                <p>
                  A backup holds the database as it stands and every original, print file
                  and document, each with its checksum.
                </p>
              </Empty>
            ) : (
              <SlipTable>
                <thead>
                  <tr>
                    <th>Made</th>
                    <th>File</th>
                    <th>Files in it</th>
                    <th>Size</th>
                  </tr>
                </thead>
                <tbody>
                  {backups.map((b) => (
                    <tr key={b.id}>
                      <td>{format.day(b.at)}</td>
                      <td>{b.name}</td>
                      <td>{b.files}</td>
                      <td>{megabytes(b.bytes, format)}</td>
                    </tr>
                  ))}
                </tbody>
              </SlipTable>
            )}
            {last && last.result.lost.length > 0 && (
              <Lost>
                {last.result.lost.map((what) => (
                  <li key={what}>Not in the last one, since damaged: {what}</li>
                ))}
              </Lost>
            )}
          </Part>
          <Part>
            <TableHead>Check of every file</TableHead>
            {view.checking && <JobLine job={view.checking} what="Checking" />}
            {found ? (
              <>
                <Sentence $tone={found.sound ? 'plain' : 'stop'}>{found.sentence}</Sentence>
                <Lost>
                  {found.lines.map((line) => (
                    <li key={line}>{line}</li>
                  ))}
                </Lost>
              </>
            ) : (
              <Small>
                Every stored file is held against the checksum it had when it came in, and
                every entry of the edition ledger against the one before it.
              </Small>
            )}
            <Problem>{checking.problem}</Problem>
            <UnnamedFiles files={view.unnamed} />
          </Part>
          <GoBack view={view} />
        </Surface>
        <Slip
          label="Backup"
          actions={
            <Button onPress={() => backup.run({})} isDisabled={backup.sending}>
              Make a backup
            </Button>
          }
        >
          <SlipTitle>Last backup</SlipTitle>
          <Figures
            figures={[
              {
                value: daysOld === null ? 'none' : String(daysOld),
                unit: '',
                label:
                  daysOld === null ? 'last backup' : daysOld === 1 ? 'day old' : 'days old',
                tone: daysOld === null ? 'ochre' : undefined,
              },
              {
                value: format.number((stored.masterBytes + stored.printBytes) / 1e9, 1),
                unit: 'GB',
                label: 'to be kept',
              },
            ]}
          />
          <Sentence $tone={sameDisk || daysOld === null ? 'caution' : 'plain'}>
            {backupSentence(daysOld, sameDisk)}
          </Sentence>
          <Problem>{backup.problem}</Problem>
          <FactList
            facts={[
              [
                'Originals',
                `${stored.masters} files, ${megabytes(stored.masterBytes, format)}`,
              ],
              [
                'Print files',
                `${stored.printFiles} files, ${megabytes(stored.printBytes, format)}`,
              ],
            ]}
          />
          {!view.naming && (
            <Small>
              Others on the network can ask, too: another folder can be named only if the
              owner of this machine lists it in GLASSINE_ROOTS before the start.
            </Small>
          )}
          {view.naming && (
            <EnterForm onEnter={place.submit} style={{ display: 'grid', gap: 8 }}>
              <Field
                form={place.form}
                of={placeForm}
                name="folder"
                words
                hint={`a full path; now ${folder}`}
              />
              <Button type="submit" $plain $small style={{ justifySelf: 'start' }}>
                Use this folder
              </Button>
            </EnterForm>
          )}
          <Problem>{place.problem}</Problem>
        </Slip>
      </Bench>
    </>
  );
}
