# frozen_string_literal: true

require_relative "loader"
require_relative "../boot/wiring"
require_relative "../boot/settings"

module NutShelf
  module Demo
    # The demo's database on this machine: lived once, and made anew when somebody stopped half way.
    class House
      NAME = "nut_shelf_demo"
      # What the made-up shops say they have.
      SHOP_FEED = File.join(__dir__, "shop_feed.json")

      # @param url [String] the app's URL of the migrated database
      # @return [String] the app's URL of the demo that is whole
      # @raise [SystemExit] when a database that is not ours holds half a demo
      def ready(url)
        url = anew if with(url, &:half_made?)
        with(url) do |loader|
          warn "Living ten weeks at Sallow House (once) ..." unless loader.made?
          loader.load
        end
        url
      end

      private

      def with(url)
        services = Boot::Wiring.services(url)
        yield Loader.new(services)
      ensure
        services&.database&.disconnect
      end

      def anew
        if Boot::Settings.foreign_url
          abort("DATABASE_URL holds a demo that was stopped half way. Name an empty database, or empty that one.")
        end

        warn "The demo was stopped half way the last time; it is made anew."
        Store::Owner.drop(Boot::Wiring.scratch_url(NAME))
        Boot::Wiring.prepare(NAME)
      end
    end
  end
end
