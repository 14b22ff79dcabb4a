// The systemd unit of an installation.
import { Plain } from './say.mjs';

/** What the programs of Candid Leaf do not need, and so may not do. Node.js compiles while it runs: memory stays writable. */
const HARDENING = [
  'NoNewPrivileges=yes',
  'CapabilityBoundingSet=',
  'ProtectSystem=strict',
  'PrivateTmp=yes',
  'PrivateDevices=yes',
  'ProtectClock=yes',
  'ProtectHostname=yes',
  'ProtectKernelLogs=yes',
  'ProtectKernelModules=yes',
  'ProtectKernelTunables=yes',
  'ProtectControlGroups=yes',
  'ProtectProc=invisible',
  'RestrictAddressFamilies=AF_INET AF_INET6 AF_UNIX',
  'RestrictNamespaces=yes',
  'RestrictRealtime=yes',
  'RestrictSUIDSGID=yes',
  'LockPersonality=yes',
  'SystemCallArchitectures=native',
  // V8 asks for memory keys when it starts; what else is forbidden fails with an error instead of an end
  'SystemCallFilter=@system-service @pkey',
  'SystemCallErrorNumber=EPERM',
  'UMask=0077',
];

/**
 * Returns the unit. It starts after the network, restarts what ends, and may write only its own data.
 * @param root folder of the clone
 * @param node the Node.js that runs it
 * @param user account it runs as; not root
 */
export function unitFor({ root, node, user }) {
  if (!/^[a-z_][a-z0-9_-]{0,31}$/.test(user))
    throw new Plain(`SERVICE_USER is "${user}", which is no name of an account.`);
  if (user === 'root') throw new Plain('Candid Leaf does not run as root: make an account for it, such as leaf.');
  if (/[\s"'\\%]/.test(root + node))
    throw new Plain('The path of this folder has a space or a quote: clone it somewhere plain.');
  return `[Unit]
Description=Candid Leaf
Wants=network-online.target
After=network-online.target

[Service]
User=${user}
WorkingDirectory=${root}
EnvironmentFile=-/etc/candid-leaf.env
Environment=DATA_FOLDER=/var/lib/candid-leaf
StateDirectory=candid-leaf
StateDirectoryMode=0700
ExecStart=${node} ${root}/scripts/start.mjs
Restart=on-failure
RestartSec=5
TimeoutStopSec=60
# what an update builds and installs
ReadWritePaths=${root}
ProtectHome=${/^\/(home|root)\//.test(root) || /^\/(home|root)\//.test(node) ? 'read-only' : 'yes'}
${HARDENING.join('\n')}

[Install]
WantedBy=multi-user.target
`;
}
