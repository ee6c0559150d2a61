export type FromPhotoWorker =
  | { readonly kind: 'made'; readonly hash: string; readonly width: number; readonly height: number; readonly blob: Blob }
  | { readonly kind: 'wrong'; readonly says: string };
