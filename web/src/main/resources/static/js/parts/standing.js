// What a room asks for once it stands, and takes a while to be worked out.

// whoever has pressed once often presses again
const PAUSE = 300;

/** Goes on once nobody has pressed again for a moment; where a place was left by then, never. */
export const standing = (place) => new Promise((goOn) => setTimeout(() => place.isConnected && goOn(), PAUSE));
