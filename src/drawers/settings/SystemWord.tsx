'use client';
import { useEffect, useState } from 'react';
import { Button } from '@/shell/actions';
import { Small } from '@/shell/words';

/** Whether the system may say it when long work ends while nobody looks at the page. */
export function SystemWord() {
  const [may, setMay] = useState<NotificationPermission | null>(null);
  useEffect(() => {
    if ('Notification' in window) setMay(Notification.permission);
  }, []);
  if (may === null) return null;
  return (
    <>
      <Small>
        {may === 'granted'
          ? 'When long work ends while this page is not looked at, your system says so.'
          : may === 'denied'
            ? 'Your browser was told not to let this page speak through the system; its own settings can change that.'
            : 'Long work may end while you look elsewhere.'}
      </Small>
      {may === 'default' && (
        <Button
          $plain
          $small
          style={{ alignSelf: 'flex-start' }}
          onPress={() => void Notification.requestPermission().then(setMay)}
        >
          Let the system say when it ends
        </Button>
      )}
    </>
  );
}
