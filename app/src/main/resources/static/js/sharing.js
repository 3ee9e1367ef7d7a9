// Links for others: made, listed, taken back.

import { address as shown } from './address.js';
import { ask, askOnce, button, element, say } from './app.js';

const dialog = document.getElementById('sharing');
const part = id => document.getElementById(`sharing-${id}`);
const project = document.querySelector('.transport').dataset.project;
const address = `/projects/${project}/shares`;
const showAddress = shown(part('address'), part('copy'), sentence => tell(sentence));

async function list() {
  const { status, body } = await ask('GET', address);
  if (status !== 200) {
    say(body.sentence);
    return;
  }
  part('list').replaceChildren(
    ...body.map(link => {
      const line = element('li', '');
      const about = element('span', '');
      about.append(
        element('b', '', link.name || 'A link'),
        ` leads to ${link.what} `,
        element('span', 'soft', `· ${link.terms} · ${link.made}`),
      );
      line.append(about, element('span', link.open ? 'pill sea' : 'pill', link.state));
      line.append(
        link.open
          ? button(
              'btn-quiet danger',
              'Revoke',
              async () => {
                const answer = await ask('POST', `${address}/${link.id}/take-back`, new FormData());
                tell(answer.body?.sentence ?? 'That did not work. Reload the page.');
                list();
              },
              `Revoke the link ${link.name || link.made}`,
            )
          : element('span', ''),
      );
      return line;
    }),
  );
  part('none').hidden = body.length > 0;
}

/** Whether a delivery is in the feed of the house. */
async function feed(delivery) {
  // until it is known there is nothing to press: a press would be lost
  part('infeed').textContent = '';
  part('put').hidden = true;
  const { status, body } = await ask('GET', `/projects/${project}/deliveries/${delivery.id}/feed`);
  if (status !== 200) return;
  part('infeed').textContent = body.in
    ? 'It is in the feed.'
    : body.open
      ? 'It isn’t in the feed.'
      : 'There is no feed yet.';
  part('put').textContent = body.in ? 'Remove from feed' : 'Add to feed';
  part('put').hidden = !body.in && !body.open;
  part('put').onclick = async () => {
    const form = new FormData();
    form.append('in', String(!body.in));
    tell('Measuring the programme…');
    const answer = await ask('POST', `/projects/${project}/deliveries/${delivery.id}/feed`, form);
    tell(answer.status === 200 ? '' : (answer.body?.sentence ?? 'That did not work. Reload the page.'));
    feed(delivery);
  };
}

function tell(sentence) {
  part('told').textContent = sentence;
}

/** @param delivery its id and ordinal, or nothing for the programme as it is */
export function share(delivery) {
  part('form').reset();
  part('form').dataset.delivery = delivery?.id ?? '';
  part('what').textContent = delivery ? `delivery ${delivery.ordinal}` : 'the programme as it is, also when it changes';
  dialog.querySelectorAll('[data-of-delivery]').forEach(one => {
    one.hidden = !delivery;
  });
  part('until').min = new Date().toISOString().slice(0, 10);
  part('link').hidden = true;
  tell('');
  list();
  if (delivery) feed(delivery);
  dialog.showModal();
}

part('form').addEventListener('submit', async event => {
  event.preventDefault();
  const form = new FormData(part('form'));
  if (part('form').dataset.delivery) form.append('delivery', part('form').dataset.delivery);
  if (!form.get('until')) form.delete('until');
  const { status, body } = await askOnce(part('form'), address, form);
  tell(body?.sentence ?? 'That did not work. Reload the page.');
  if (status !== 200) return;
  showAddress(body.address);
  list();
});
part('close').addEventListener('click', () => dialog.close());
document.addEventListener('logophon:changed', event => {
  if (dialog.open && event.detail.kinds.includes('delivery')) list();
});
document.addEventListener('click', event => {
  const asked = event.target.closest('[data-share]');
  if (asked) share(asked.dataset.share ? { id: asked.dataset.share, ordinal: asked.dataset.ordinal } : null);
});
