// The user's own picture: opened from their disk, never sent, and in step with the narration.

import { say } from '../app.js';

// further off is a leap; nearer is caught up by speed, the more of it the further off
const LEAP = 0.4;
const OFF = 0.012;
const A_SECOND = 4;
const MOST = 0.5;

/**
 * @param box  holds the video and what goes with it
 * @param acts frame(): seconds of one, timecode(seconds)
 */
export function ownVideo(box, acts) {
  const video = box.querySelector('video');
  const file = box.querySelector('#video-file');
  const told = box.querySelector('#video-told');
  const sound = box.querySelector('#video-sound');
  let address = null;

  function close() {
    if (address) URL.revokeObjectURL(address);
    address = null;
    video.removeAttribute('src');
    video.load();
    box.classList.remove('open');
    told.textContent = '';
  }

  file.addEventListener('change', () => {
    close();
    if (!file.files.length) return;
    address = URL.createObjectURL(file.files[0]);
    video.src = address;
    video.muted = !sound.checked;
  });
  video.addEventListener('loadedmetadata', () => {
    box.classList.add('open');
    told.textContent = `${file.files[0]?.name
        ?? 'The picture'}, ${acts.timecode(video.duration)} long. It stays in this browser.`;
  });
  video.addEventListener('error', () => {
    if (!address) return;
    close();
    say('This browser can’t play that file. Try VP8, VP9, AV1 or H.264 in WebM or MP4.');
  });
  sound.addEventListener('change', () => {
    video.muted = !sound.checked;
  });
  box.querySelector('#video-close').addEventListener('click', () => {
    file.value = '';
    close();
  });

  return {
    /** Goes with the programme. @param seconds of it; null when it stands still */
    follow(seconds, playing) {
      if (!address || video.readyState < 1) return;
      if (!playing || seconds === null) {
        video.pause();
        if (seconds !== null) video.currentTime = Math.min(seconds, video.duration);
        return;
      }
      if (seconds >= video.duration) {
        video.pause();
        return;
      }
      const off = video.currentTime - seconds;
      if (video.paused) {
        // it stands on the right frame mostly: seeking to it again would only cost time
        if (Math.abs(off) > acts.frame()) video.currentTime = seconds;
        video.play().catch(() => {});
      } else if (Math.abs(off) > LEAP) {
        video.currentTime = seconds;
        video.playbackRate = 1;
      } else {
        video.playbackRate =
          Math.abs(off) < Math.min(OFF, acts.frame() / 3) ? 1 : 1 - Math.max(-MOST, Math.min(MOST, off * A_SECOND));
      }
    },
    isOpen: () => address !== null && video.readyState >= 1,
    time: () => video.currentTime,
  };
}
