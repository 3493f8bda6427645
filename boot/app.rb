# frozen_string_literal: true

require_relative "wiring"
require_relative "../api/app"

module NutShelf
  module Boot
    # The app as Puma serves it.
    module Web
      INTERFACE = File.join(Settings::ROOT, "ui", "dist")

      module_function

      # @param url [String] the app's database URL
      # @param options [Hash] see Api::App.build
      def build(url, services: Wiring.services(url), **options)
        Api::App.build(
          services: services,
          secret: Settings.secret("session"),
          build: Settings.build,
          interface: INTERFACE,
          secure: Settings.tls?,
          hosts: Settings.hosts,
          address: Settings.public_url,
          behind_proxy: Settings.behind_proxy?,
          **options
        )
      end
    end
  end
end
