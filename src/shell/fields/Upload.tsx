'use client';
import { useRef, useState } from 'react';
import { DropZone, FileTrigger } from 'react-aria-components';
import type { FileDropItem } from 'react-aria-components';
import styled from 'styled-components';
import { Button } from '../actions/Button';
import { Problem } from './fieldParts';
import { Progress } from '../said/states';

const Zone = styled(DropZone)`
  border: 1.5px dashed #5c5c5c;
  background: rgba(255, 255, 255, 0.28);
  padding: 18px;
  display: grid;
  gap: 9px;
  justify-items: center;
  text-align: center;
  &[data-drop-target] {
    border-color: var(--blue);
    background: rgba(255, 255, 255, 0.6);
  }
`;

interface UploadProps {
  /** Where the bytes go; the file's name is added as `name`. */
  url: string;
  accept: string[];
  invitation: string;
  onDone: () => void;
  primary?: boolean;
  /** What is done with it once it is there, before its name. */
  doing?: string;
}

/** Drop or pick one file; its bytes stream to the server, with progress and cancel. */
export function Upload({
  url,
  accept,
  invitation,
  onDone,
  primary,
  doing = 'Reading and decoding',
}: UploadProps) {
  const [share, setShare] = useState<number | null>(null);
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const request = useRef<XMLHttpRequest | null>(null);
  const end = (message: string | null) => {
    setShare(null);
    setProblem(message);
  };
  const send = (file: File) => {
    const xhr = new XMLHttpRequest();
    request.current = xhr;
    setName(file.name);
    setProblem(null);
    setShare(0);
    xhr.upload.onprogress = (e) => setShare(e.total ? e.loaded / e.total : 0);
    xhr.onabort = () => end(`${file.name}: stopped. Nothing of it was kept.`);
    xhr.onerror = () =>
      end(`${file.name}: Glassine did not answer. Nothing of it was kept; try again.`);
    xhr.onload = () => {
      const answer = JSON.parse(xhr.responseText || '{}') as { message?: string };
      end(xhr.status < 300 ? null : (answer.message ?? 'It was refused.'));
      if (xhr.status < 300) onDone();
    };
    xhr.open(
      'PUT',
      `${url}${url.includes('?') ? '&' : '?'}name=${encodeURIComponent(file.name)}`,
    );
    xhr.send(file);
  };
  if (share !== null)
    return (
      <div style={{ display: 'grid', gap: 8 }}>
        <Progress
          label={share < 1 ? `Receiving ${name}` : `${doing} ${name}`}
          share={share}
        />
        <Button
          $plain
          $small
          onPress={() => request.current?.abort()}
          style={{ justifySelf: 'start' }}
        >
          Stop
        </Button>
      </div>
    );
  return (
    <div style={{ display: 'grid', gap: 8 }}>
      <Zone
        onDrop={(e) => {
          const item = e.items.find((i): i is FileDropItem => i.kind === 'file');
          if (item) void item.getFile().then(send);
        }}
      >
        <span>{invitation}</span>
        <FileTrigger
          acceptedFileTypes={accept}
          onSelect={(list) => {
            const [file] = Array.from(list ?? []);
            if (file) send(file);
          }}
        >
          <Button $plain={!primary} $small>
            Choose a file
          </Button>
        </FileTrigger>
      </Zone>
      <Problem>{problem}</Problem>
    </div>
  );
}
