// Links for others: made, listed, taken back.

import { address as shown } from './address.js';
import { button, element } from './app.js';
import { ask, askOnce, formOf, glance, outcome } from './ask.js';

const dialog = document.getElementById('sharing');
const part = id => document.getElementById(`sharing-${id}`);
const project = document.querySelector('.transport').dataset.project;
const address = `/projects/${project}/shares`;
const showAddress = shown(part('address'), part('copy'), sentence => tell(sentence));

async function list() {
  const links = await ask('GET', address);
  part('list').replaceChildren(
    ...links.map(link => {
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
                await outcome(ask('POST', `${address}/${link.id}/take-back`, new FormData()), tell);
                list();
              },
              `Revoke the link ${link.name || link.made}`,
            )
          : element('span', ''),
      );
      return line;
    }),
  );
  part('none').hidden = links.length > 0;
}

/** Whether a delivery is in the feed of the house. */
async function feed(delivery) {
  // until it is known there is nothing to press: a press would be lost
  part('infeed').textContent = '';
  part('put').hidden = true;
  const where = `/projects/${project}/deliveries/${delivery.id}/feed`;
  const now = await glance(ask('GET', where));
  if (!now) return;
  part('infeed').textContent = now.in
    ? 'It is in the feed.'
    : now.open
      ? 'It isn’t in the feed.'
      : 'There is no feed yet.';
  part('put').textContent = now.in ? 'Remove from feed' : 'Add to feed';
  part('put').hidden = !now.in && !now.open;
  part('put').onclick = async () => {
    tell('Measuring the programme…');
    if (await outcome(ask('POST', where, formOf({ in: !now.in })), tell)) tell('');
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
  const made = await outcome(askOnce(part('form'), address, form), tell);
  if (!made) return;
  showAddress(made.address);
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
