import { t } from '../lang'

/** What a photo of the finished figure comes from: the device's own camera, or a stand-in for one. */
export interface Camera {
  /** Ready to be looked through; what is refused is said in words. */
  open(video: HTMLVideoElement): Promise<void>
  take(): Promise<Blob>
  close(): void
}

/** The camera of this tablet or computer, the one that looks away from its screen where there are two. */
export function deviceCamera(): Camera {
  let stream: MediaStream | null = null
  let seen: HTMLVideoElement | null = null
  return {
    async open(video) {
      try {
        stream = await navigator.mediaDevices.getUserMedia({
          video: { facingMode: 'environment', width: { ideal: 1600 }, height: { ideal: 1200 } },
          audio: false,
        })
      } catch (error) {
        throw new Error(
          (error as DOMException).name === 'NotAllowedError'
            ? t('devices.camera.theCameraWasNotAllowed')
            : t('devices.camera.noCameraIsFoundHere'),
        )
      }
      seen = video
      video.srcObject = stream
      await video.play()
    },
    async take() {
      if (!seen?.videoWidth) throw new Error(t('devices.camera.theCameraShowsNothingYet'))
      const canvas = document.createElement('canvas')
      canvas.width = seen.videoWidth
      canvas.height = seen.videoHeight
      canvas.getContext('2d')!.drawImage(seen, 0, 0)
      return new Promise((resolve, reject) =>
        canvas.toBlob(
          (blob) => (blob ? resolve(blob) : reject(new Error(t('devices.camera.thePhotoCouldNotBe')))),
          'image/jpeg',
          0.92,
        ),
      )
    },
    close() {
      stream?.getTracks().forEach((track) => track.stop())
      if (seen) seen.srcObject = null
      stream = seen = null
    },
  }
}
