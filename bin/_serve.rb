# frozen_string_literal: true

require "digest"
require "socket"
require_relative "../boot/settings"

mode, *arguments = ARGV
include NutShelf # rubocop:disable Style/MixinUsage -- a script

# The build stamp follows the sources, so that caches turn over with them.
sources =
  Dir[File.join(Boot::Settings::ROOT, "{api,core,desk,store,contract,data,ui/dist}", "**", "*")].select do |path|
    File.file?(path)
  end
ENV["NUT_SHELF_BUILD"] ||= Digest::SHA256.hexdigest(sources.sort.map { |path| "#{path}#{File.mtime(path).to_i}" }.join)[
  0,
  12
]

require_relative "../boot/serving"
require_relative "../boot/watch"
require_relative "../boot/workers"
require "puma"
require "puma/configuration"
require "puma/launcher"
require_relative "../demo/house" if mode == "demo"

def free_port(wanted)
  (wanted..(wanted + 20)).find do |port|
    TCPServer.new("127.0.0.1", port).close
    true
  rescue Errno::EADDRINUSE, Errno::EACCES
    warn "Port #{port} is in use, trying the next."
    false
  end || abort("No free port from #{wanted} on. Set PORT to one.")
end

begin
  serving = Boot::Serving.new(arguments)
rescue ArgumentError => e
  abort e.message
end
again = false
# Before there are threads or connections.
nursery = Boot::Workers::Nursery.start
cluster = Boot::Cluster.new
started = Boot::Settings.foreign_url.nil? && cluster.start
begin
  url = Boot::Wiring.prepare(mode == "demo" ? Demo::House::NAME : "nut_shelf_house")
  url = Demo::House.new.ready(url) if mode == "demo"
  Boot::Wiring.catch_up(url)
  feed = mode == "demo" ? Boot::Wiring.shop_feed(Demo::House::SHOP_FEED) : Core::NoShopSays
  services = Boot::Wiring.services(url, work: Boot::Workers.new(nursery.door, most: 2), shop_feed: feed)
  serving.port = free_port(Boot::Settings.port)
  app = serving.app(url, services: services, demo_account: mode == "demo" ? Demo::Household::KEEPER : nil)
  configuration =
    Puma::Configuration.new do |config|
      serving.bind(config)
      config.threads 4, 8
      # The app is there before the web processes are; connections are made in each of them.
      config.workers Boot::Settings.web_processes
      config.preload_app!
      config.silence_single_worker_warning
      config.before_fork { services.database.disconnect }
      # Refused before a body is spooled, and nobody who hangs keeps the house from stopping.
      config.http_content_length_limit Core::Limits::LARGEST_BODY
      config.first_data_timeout 10
      config.persistent_timeout 20
      config.force_shutdown_after 10
      config.app app
      config.environment "production"
      config.quiet
      config.raise_exception_on_sigterm false
    end
  watch = Thread.new { Boot::Watch.new(cluster).run } if started
  puts serving.words
  puts(
    if mode == "demo"
      "Press \"Look around the demo\", or sign in as #{Demo::Household::KEEPER} with the password: " \
        "#{Demo::Household::PASSWORD}"
    else
      "The first visit makes the household and its keeper; after that, sign in."
    end
  )
  puts "Ctrl-C stops it."
  $stdout.flush
  launcher = Puma::Launcher.new(configuration, log_writer: Puma::LogWriter.null)
  # Before the certificate runs out the server stops, and is started anew with a fresh one.
  renewing = Thread.new { serving.until_stale && (again = true) && launcher.stop } if serving.house?
  launcher.run
rescue Boot::Cluster::Failed, Store::Away => e
  abort e.message
rescue Errno::EADDRINUSE
  abort "Another program has port #{serving.secure_port} already. Set NUT_SHELF_TLS_PORT to another one."
ensure
  renewing&.kill
  watch&.kill
  nursery.stop
  cluster.stop if started
end
exec(RbConfig.ruby, $PROGRAM_NAME, *ARGV) if again
