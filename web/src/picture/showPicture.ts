/** Shows a picture that a worker painted on a canvas of its size, and lets go of it; where there is no canvas any more, it is let go alone. */
export function showPicture(canvas: HTMLCanvasElement | undefined, picture: ImageBitmap): void {
  if (canvas) {
    [canvas.width, canvas.height] = [picture.width, picture.height];
    canvas.getContext('2d')!.drawImage(picture, 0, 0);
  }
  picture.close();
}
