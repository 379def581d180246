import type { NextConfig } from 'next';

const config: NextConfig = {
  reactStrictMode: true,
  poweredByHeader: false,
  // The guard sees every address as it was asked for, before anything is made of it.
  skipProxyUrlNormalize: true,
  skipTrailingSlashRedirect: true,
  serverExternalPackages: ['better-sqlite3', 'tinypool'],
  experimental: { optimizePackageImports: ['radix-ui', 'lucide-react', 'date-fns'] },
  devIndicators: false,
  // `npm test` checks the types; a cook who starts the demo need not wait for it again.
  typescript: { ignoreBuildErrors: true },
};

export default config;
