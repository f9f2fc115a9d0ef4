/** What an app of another build noted may be worked out otherwise, or be in another shape. */
export const BUILD: string = import.meta.env['VITE_BUILD_ID'] ?? 'unbuilt';
