// A picture is made small on this device before it is sent.
const SIDE = 1280;

/** A JPEG of what a picture shows, no longer than a screen. */
export async function madeSmall(file) {
  const image = await createImageBitmap(file);
  const scale = Math.min(1, SIDE / Math.max(image.width, image.height));
  const canvas = Object.assign(document.createElement('canvas'), { width: Math.round(image.width * scale), height: Math.round(image.height * scale) });
  canvas.getContext('2d').drawImage(image, 0, 0, canvas.width, canvas.height);
  return new Promise((done) => {
    canvas.toBlob(done, 'image/jpeg', 0.85);
  });
}

async function small(file) {
  if (file.type !== 'image/jpeg' && file.type !== 'image/png') return file;
  try {
    return new File([await madeSmall(file)], file.name, { type: 'image/jpeg' });
  } catch {
    return file; // the server says what is wrong with it
  }
}

/** Whatever is chosen in these fields is exchanged for a small one; what cannot be read here is left to the server to refuse. */
export function mountPictures(root) {
  for (const form of root.querySelectorAll('form[data-small]')) {
    const field = form.elements[form.dataset.small];
    field.addEventListener('change', async () => {
      const chosen = new DataTransfer();
      for (const file of await Promise.all([...field.files].map(small))) chosen.items.add(file);
      field.files = chosen.files;
      form.dispatchEvent(new Event('made-small'));
    });
  }
}
