/** Kinds of file a picture may be, for the dialogs that choose one. */
export const PICTURE_FILES = 'image/png,image/jpeg,image/webp,image/tiff,image/svg+xml,.tif,.tiff,.svg';
