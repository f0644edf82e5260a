declare module '@fontsource-variable/atkinson-hyperlegible-next';
declare module '@fontsource-variable/fraunces';
