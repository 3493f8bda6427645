# frozen_string_literal: true

require "puma"
require "puma/configuration"
require "puma/launcher"
require_relative "../boot/app"

# The app for the crash drill; it is killed without warning.
app = NutShelf::Boot::Web.build(ENV.fetch("NUT_SHELF_DRILL_URL"), demo_account: "drill@example.test", throttle: false)
configuration =
  Puma::Configuration.new do |config|
    config.bind "tcp://127.0.0.1:#{ARGV.fetch(0)}"
    config.threads 8, 8
    config.app app
    config.quiet
  end
Puma::Launcher.new(configuration, log_writer: Puma::LogWriter.null).run
