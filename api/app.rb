# frozen_string_literal: true

require "rack"
require "rack/attack"
require_relative "auth"
require_relative "front_door"
require_relative "pages"
require_relative "shield"
require_relative "throttle"
Dir[File.join(__dir__, "resources", "*.rb")].each { |file| require_relative "resources/#{File.basename(file, ".rb")}" }

module NutShelf
  module Api
    # The whole web application: shield, throttle, sign-in, one app per resource, and the interface's files.
    module App
      RESOURCES = {
        "/api/stacks" => Stacks,
        "/api/foods" => Foods,
        "/api/places" => Places,
        "/api/acts" => Acts,
        "/api/label-line" => LabelLines,
        "/api/dishes" => Dishes,
        "/api/recipes" => Recipes,
        "/api/meals" => Meals,
        "/api/occasions" => Occasions,
        "/api/plan" => Plan,
        "/api/print" => PrintRoom,
        "/api/list" => List,
        "/api/bought" => Bought,
        "/api/shoppings" => Shoppings,
        "/api/shops" => Shops,
        "/api/wants" => Wants,
        "/api/pack-check" => PackCheck,
        "/api/look-back" => LookBack,
        "/api/kits" => Kits,
        "/api/trips" => Trips,
        "/api/bench" => Bench,
        "/api/season" => Season,
        "/api/events" => Events,
        "/api/outages" => Outages,
        "/api/phones" => Phones,
        "/api/today" => Today,
        "/api/import" => Import,
        "/api/export.csv" => Export,
        "/api/counts" => Counts,
        "/api/bring-forward" => BringForward,
        "/api/containers" => Containers,
        "/api/care" => Care,
        "/api/scan" => Scans,
        "/api/barcodes" => Barcodes,
        "/api/recall" => Recall,
        "/api/keeping" => Keeping,
        "/api/people" => People,
        "/api/ways" => HouseholdSettings,
        "/api/members" => Members,
        "/api/join" => Join,
        "/api/calendar" => Calendar,
        "/api/feeds" => Feeds,
        "/api/reservations" => Reservations,
        "/api/backup.json" => Backup,
        "/api/changes" => Changes,
        "/api/scale" => Scale,
        "/api/labels" => Labels,
        "/api" => Session
      }.freeze

      # What shrinks on the way. No answer with a secret repeats what was sent along with it.
      COMPRESSED = %w[
        application/json application/problem+json text/html text/css text/csv text/javascript application/javascript
        image/svg+xml
      ].freeze

      module_function

      # @param services [Desk::Services]
      # @param secret [String]
      # @param options [Hash] :demo_account, :build, :interface (folder of the built interface), :secure, :throttle,
      #   :hosts, :address, :behind_proxy,
      #   :trust ({"address", "fingerprint"} where the household vouches for its own machine)
      # @return [#call] Rack app
      def build(services:, secret:, **options)
        Base.build_stamp = options.fetch(:build, "dev")
        resources = RESOURCES.transform_values do |klass|
          klass.then do |base|
            Class.new(base) do
              set :services, services
            end
          end
        end
        resources["/api"].set(:demo_account, options[:demo_account])
        resources["/api/labels"].set(:address, options.fetch(:address, ""))
        resources["/api"].set(:public_address, options[:address])
        resources["/api/phones"].set(:address, options.fetch(:address, ""))
        resources["/api/phones"].set(:trust, options[:trust])
        stack(services, secret, resources, options)
      end

      def stack(services, secret, resources, options)
        secure = options.fetch(:secure, false)
        auth = Auth.build(database: services.database, secret: secret, secure: secure)
        session = Auth.session(secret, secure: secure)
        Throttle.set_up(Store::Tallies.new(services.database), behind_proxy: options.fetch(:behind_proxy, false))
        Rack::Builder
          .new do
            use Rack::Deflater, include: COMPRESSED
            # Every port of a home machine would be held to it, also those that are somebody else's.
            use Shield, secure: secure && options[:trust].nil?
            use FrontDoor, hosts: options.fetch(:hosts, [])
            use Rack::Attack if options.fetch(:throttle, true)
            use(*session)
            use auth
            resources.each { |path, app| map(path) { run app } }
            map("/") { run Pages.new(options[:interface]) }
          end
          .to_app
      end
    end
  end
end
