'use client';

export { ErrorPage as default } from '@/features/shell/error-page';
