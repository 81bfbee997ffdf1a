import { defineForm, text } from '@/core/input';

/** The code of a certificate, as a scanner gives it. */
export const codeForm = defineForm({ code: text('Code on the certificate', { max: 400 }) });
