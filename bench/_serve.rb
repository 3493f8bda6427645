# frozen_string_literal: true

require_relative "../boot/app"
require "puma"
require "puma/configuration"
require "puma/launcher"

# The app for a bench, in a process that has done nothing else: _serve.rb URL PORT PROCESSES KEEPER
url, port, processes, keeper = ARGV
services = NutShelf::Boot::Wiring.services(url)
app =
  NutShelf::Api::App.build(services: services, secret: "s" * 96, demo_account: keeper, throttle: false, build: "bench")
configuration =
  Puma::Configuration.new do |config|
    config.bind "tcp://127.0.0.1:#{port}"
    config.threads 4, 8
    config.workers Integer(processes)
    config.preload_app!
    config.silence_single_worker_warning
    config.before_fork { services.database.disconnect }
    config.app app
    config.environment "production"
    config.quiet
    config.raise_exception_on_sigterm false
  end
Puma::Launcher.new(configuration, log_writer: Puma::LogWriter.null).run
